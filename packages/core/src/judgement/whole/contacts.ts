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
  if (verdict !== 'operates') {
    const { wanted, restsOn } = restingOn(bench, input, verdict, readings, all)
    const asTheyShouldBe = readings.filter((one) => !restsOn.includes(one))
    return {
      verdict: 'outside',
      reason: verdict,
      wanted,
      apart: new Map(asTheyShouldBe.map((one) => [one, asItShouldBe(one)])),
    }
  }
  for (const one of readings) {
    const tooMany = readsClosed(one) && one.limit?.kind === 'closed' && one.verdict === 'outside'
    if (tooMany || observationOf(one)?.ohms === 'Infinity') apart.set(one, asItShouldBe(one))
  }
  return { verdict: 'within', wanted: [], apart }
}

/** A reading that the fault does not rest on: what is open or beeps has no ohms to be held against a limit, a closed one has. */
function asItShouldBe(one: Evaluation): Evaluation {
  const open = observationOf(one)?.ohms === 'Infinity'
  if (!open && !beepsOnly(one)) return one
  const reason = open ? ('open-as-expected' as const) : undefined
  return { ...one, verdict: 'within', reason, leaning: undefined, conformance: undefined, limit: undefined }
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
 * The readings that a fault rests on, and those of them that want a second touch. A contact that stays closed rests on what was read closed
 * with the coil driven. What one contact closed instead would undo rests on that open reading, and wants it twice: a probe may have missed.
 * One that should be closed at rest is wanted at rest. Of a relay that does nothing at all it is one with the coil driven, and a contact that
 * was closed then has shown that the probes reached.
 */
function restingOn(
  bench: Bench,
  input: RelayInput,
  verdict: RelayRoles['verdict'],
  readings: Evaluation[],
  all: Evaluation[],
): { wanted: Evaluation[]; restsOn: Evaluation[] } {
  const still = verdict === 'does-not-operate'
  const driven = readings.filter(isDriven)
  const undone = readings.filter((one) => undoes(input, observationOf(one)))
  const closed = undone.filter((one) => isDriven(one) && readsClosed(one))
  if (closed.length > 0) return { wanted: [], restsOn: closed }
  const reached = still && driven.some(readsClosed)
  const atRest = still ? [] : undone.filter((one) => !isDriven(one) && !readsClosed(one))
  const open = atRest.length > 0 ? atRest : undone.filter(isDriven)
  const twice = open.filter((one) => twiceOpen(bench, one, all))
  const restsOn = twice.length > 0 ? twice : open
  return {
    wanted: reached || twice.length > 0 ? [] : open.slice(0, 1),
    restsOn: restsOn.length > 0 ? restsOn : still ? driven : readings,
  }
}

/** Whether the relay would operate, had this one been closed where it was open, or open where it was closed. */
function undoes(input: RelayInput, seen: Observation | undefined): boolean {
  if (!seen || !(seen.ohms === 'Infinity' || isClosed(seen))) return false
  const ohms = isClosed(seen) ? 'Infinity' : 0
  const otherwise = input.observations.map((other) =>
    other.a === seen.a && other.b === seen.b && other.energised === seen.energised ? { ...other, ohms } : other,
  )
  return relayRoles({ ...input, observations: otherwise as Observation[] }).verdict === 'operates'
}

const isDriven = (one: Evaluation): boolean => observationOf(one)?.energised !== null

const readsClosed = (one: Evaluation): boolean => {
  const seen = observationOf(one)
  return seen !== undefined && isClosed(seen)
}

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
