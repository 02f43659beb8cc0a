import type { Card } from '../../document'
import { relayRoles, type Observation, type RelayInput, type RelayRoles } from '../../function'
import { below } from '../../conformance'
import { ohmsRead, samePoint, type Bench, type Evaluation } from '../figure'
import { pairKey, type PreparedCheck } from '../preparedCard'
import type { Whole } from './whole'

const closedBelow = 5

/**
 * A relay's contacts over all readings of its contact checks (METHODS 7, 11.7): both checks get one verdict.
 * @param checks the card's contact checks
 * @param readings those that stand
 * @param all every reading, for those taken twice
 * @example
 * judgeContacts(scenes.relay().bench, [scenes.relay().check('rest'), scenes.relay().check('driven')], scenes.relay().all.slice(1), scenes.relay().all).verdict
 * // 'within'
 */
export function judgeContacts(bench: Bench, checks: PreparedCheck[], readings: Evaluation[], all: Evaluation[]): Whole {
  const input = relayInput(bench.prepared.card, checks, readings)
  const { verdict } = relayRoles(input)
  // a beep is joined for the roles; how many ohms the contact has it does not say
  const apart = new Map(readings.filter(beepsOnly).map((one) => [one, one]))
  if (verdict === 'undecided') return { verdict: 'none', reason: 'undecided', wanted: [], apart }
  if (verdict !== 'operates')
    return { verdict: 'outside', reason: verdict, wanted: wantedAgain(bench, input, verdict, readings, all) }
  for (const one of readings) {
    const ohms = ohmsRead(one)
    if (
      typeof ohms === 'number' &&
      below(ohms, closedBelow) &&
      one.limit?.kind === 'closed' &&
      one.verdict === 'outside'
    )
      apart.set(one, one)
  }
  return { verdict: 'within', wanted: [], apart }
}

const beepsOnly = ({ entry, reason }: Evaluation): boolean =>
  entry.reading.method === 'beeper' && reason === 'range-too-high'

/**
 * What a relay's contact checks observed, and what its card knows of it.
 * @example
 * relayInput(scenes.relay().run.card, [scenes.relay().check('rest')], scenes.relay().all).terminals.length // 5
 */
export function relayInput(card: Card, checks: PreparedCheck[], readings: Evaluation[]): RelayInput {
  const terminals = [...new Set(checks.flatMap(({ at }) => ('among' in at ? at.among : 'pair' in at ? at.pair : [])))]
  const coils = card.windings.filter(({ from, to }) => terminals.includes(from) && terminals.includes(to))
  const [coil] = coils
  const driven = checks.flatMap(({ conditions }) => conditions?.drive ?? [])[0]
  const diode = coil && card.care.electronicsBetween?.some((pair) => pairKey(pair) === pairKey([coil.from, coil.to]))
  return {
    terminals,
    observations: readings.flatMap((one) => {
      const unread = coils.length !== 1 && one.entry.reading.method === 'beeper' && one.entry.reading.kind === 'above'
      return unread ? [] : (observationOf(one) ?? [])
    }),
    ...(coil && coils.length === 1 ? { coil: [coil.from, coil.to] as [string, string] } : {}),
    joined: checks.flatMap(({ conditions }) => conditions?.joined ?? []),
    ...(diode && driven ? { drive: driven } : {}),
  }
}

/** METHODS 7: a beep is joined whatever its threshold, no beep is open. */
function observationOf(one: Evaluation): Observation | undefined {
  const { method, kind } = one.entry.reading
  const ohms = method === 'beeper' ? (kind === 'below' ? 0 : 'Infinity') : ohmsRead(one)
  if (!one.pair || ohms === undefined) return undefined
  const { conditions } = one.entry.reading
  const drive = conditions?.drive === undefined ? one.check.conditions?.drive : conditions.drive
  return { a: one.pair[0], b: one.pair[1], ohms, energised: drive ?? null }
}

/**
 * A fault that one contact closed instead would undo rests on that open reading, and wants it twice: a probe may have missed. One that
 * should be closed at rest is wanted at rest. Of a relay that does nothing at all it is one with the coil driven, and a contact that was
 * closed then has shown that the probes reached.
 */
function wantedAgain(
  bench: Bench,
  input: RelayInput,
  verdict: RelayRoles['verdict'],
  readings: Evaluation[],
  all: Evaluation[],
): Evaluation[] {
  const still = verdict === 'does-not-operate'
  if (still && input.observations.some((one) => isClosed(one) && one.energised !== null)) return []
  const undone = readings.filter((one) => undoes(input, observationOf(one)))
  const atRest = still ? [] : undone.filter((one) => !isDriven(one))
  const restsOn = atRest.length > 0 ? atRest : undone.filter(isDriven)
  return restsOn.some((one) => twiceOpen(bench, one, all)) ? [] : restsOn.slice(0, 1)
}

/** Whether the relay would operate, had this one been closed. */
function undoes(input: RelayInput, open: Observation | undefined): boolean {
  if (open?.ohms !== 'Infinity') return false
  const closed = input.observations.map((other) =>
    other.a === open.a && other.b === open.b && other.energised === open.energised ? { ...other, ohms: 0 } : other,
  )
  return relayRoles({ ...input, observations: closed }).verdict === 'operates'
}

const isDriven = (one: Evaluation): boolean => observationOf(one)?.energised !== null

const isClosed = ({ ohms }: Observation): boolean => typeof ohms === 'number' && below(ohms, closedBelow)

/** Read open before at the same pair; of what was driven, driven either way. */
function twiceOpen(bench: Bench, one: Evaluation, all: Evaluation[]): boolean {
  const again = samePoint(bench.tape, one, all)
  const otherWay = all.filter(
    (other) =>
      isDriven(one) &&
      other !== one &&
      other.check.kind === 'contacts' &&
      pairKey(other.pair ?? ['', '']) === pairKey(one.pair ?? ['', '']) &&
      isDriven(other) &&
      !bench.tape.gone.has(other.entry.id),
  )
  return [...again, ...otherWay].some((other) => observationOf(other)?.ohms === 'Infinity')
}
