import type { Card, ComplaintId } from '@sure-spool/core'
import { chanceFrom, meterOf, partOf, type Chance, type Fault } from '@sure-spool/core/simulate'
import {
  decidedByOhms,
  fourWireMeter,
  pocketMeter,
  readPath,
  workThrough,
  type Bench,
  type Script,
} from '@sure-spool/core/testing'
import type { Story } from './story'

/** Everything in this history follows from the seed. */
const seed = 1946
const count = 40
const firstTag = 361
const begins = Date.parse('2024-10-07T08:20:00.000Z')
const daysApart = 17
const day = 86_400_000

type Worker = 'Ines' | 'Tam' | 'Wil'

/** What happened to a part, and how it showed. */
interface Case {
  complaint: ComplaintId
  words: string
  fault?: (card: Card) => Fault
  /** touches of a corroded plug */
  poor?: number
  rewound?: true
  outcome?: { what: 'ran-well' | 'came-back'; words: string }
  /** the technician reads a k where the meter shows none, and notices */
  slip?: true
}

const winding = (card: Card): string => card.windings[0]?.id ?? ''
const terminal = (card: Card): string => card.windings[0]?.from ?? ''

const cases: Case[] = [
  { complaint: 'none', words: 'spare, before it goes on the shelf' },
  { complaint: 'dead', words: 'nothing at all', fault: (card) => ({ kind: 'open-winding', winding: winding(card) }) },
  {
    complaint: 'weak',
    words: 'weak since the spring',
    poor: 0.35,
    outcome: { what: 'ran-well', words: 'ran the season' },
  },
  {
    complaint: 'hard-to-start',
    words: 'twenty pulls',
    fault: (card) => ({ kind: 'shorted-turns', winding: winding(card), fraction: 0.24 }),
    rewound: true,
    outcome: { what: 'ran-well', words: 'starts on the second pull' },
  },
  {
    complaint: 'trips-when-hot',
    words: 'stops after an hour, starts again cold',
    fault: (card) => ({ kind: 'ground-leak', winding: winding(card), position: 0.4, ohms: 900, above: 55 }),
    outcome: { what: 'came-back', words: 'leaks to frame when it is warm' },
  },
  { complaint: 'none', words: 'from a breaker, for stock' },
  {
    complaint: 'dead',
    words: 'went under at the slip',
    fault: (card) => ({ kind: 'ground-leak', winding: winding(card), position: 0.3, ohms: 4200 }),
  },
  { complaint: 'weak', words: 'read right last year', slip: true },
  {
    complaint: 'intermittent',
    words: 'cuts out over a chop',
    fault: (card) => ({ kind: 'ground-leak', winding: winding(card), position: 0, ohms: 3, flexed: true }),
  },
  {
    complaint: 'weak',
    words: 'no power above half throttle',
    outcome: { what: 'came-back', words: 'right by ohms, low at speed beside a new one' },
  },
  {
    complaint: 'weak',
    words: 'joint repaired before',
    fault: (card) => ({ kind: 'resistive-joint', terminal: terminal(card), ohms: 60 }),
  },
]

const owners = [
  'the pilot boat',
  'own stock',
  'a tender',
  'the long-liner',
  'the boatyard',
  'the pot boat',
  'the ferry’s tender',
]

/** Whether its card insists on a ground test, or has none: what leaves it open is worked by hand, not by the simulated technician. */
function isTestedToFrame({ checks }: Card): boolean {
  const toFrame = checks.filter(({ at }) => 'each' in at && at.to === 'frame')
  return toFrame.length === 0 || toFrame.some(({ required }) => required)
}

/** Two years of units through the bench before the stories begin, each worked by the simulated technician. */
export function history(all: Card[]): Story[] {
  const cards = all.filter(decidedByOhms).filter(isTestedToFrame)
  const chance = chanceFrom(seed)
  return Array.from({ length: count }, (_, i) => unitOf(i, cards, chance))
}

function unitOf(i: number, cards: Card[], chance: Chance): Story {
  const card = cards[Math.floor(chance.uniform() * cards.length)] ?? cards[0]
  const one = cases[i % cases.length]
  if (!card || !one) throw new Error('the history needs a card and a case')
  const takenIn = begins + i * daysApart * day + Math.floor(chance.between(0, 5)) * 3_600_000
  const startedAt = takenIn + Math.floor(chance.between(1, 50)) * 3_600_000
  const worker: Worker = chance.uniform() < 0.4 ? 'Tam' : chance.uniform() < 0.5 ? 'Ines' : 'Wil'
  const own = chance.between(1, 1e9)
  return {
    tag: `SQ-${String(firstTag + i).padStart(4, '0')}`,
    card: card.name.model,
    history: one.words.includes('stock') ? 'new' : 'used',
    complaint: [one.complaint],
    words: one.words,
    from: owners[Math.floor(chance.uniform() * owners.length)] ?? 'own stock',
    place: 'done',
    takenIn: new Date(takenIn).toISOString(),
    by: worker,
    worker,
    startedAt: new Date(startedAt).toISOString(),
    work: (script) => worked(script, card, one, chanceFrom(Math.floor(own))),
  }
}

function worked(script: Script, card: Card, one: Case, chance: Chance): void {
  const small = card.windings.some((each) => (each.ohms ?? 100) < 3)
  const meter = meterOf(small ? fourWireMeter : pocketMeter, chance)
  const spread = () =>
    Object.fromEntries(
      card.windings.map(({ id, tolerancePct = 5 }) => [id, 1 + chance.between(-0.35, 0.35) * (tolerancePct / 100)]),
    )
  const celsius = Math.round(chance.between(14, 25) * 2) / 2
  const part = partOf(card, one.fault ? [one.fault(card)] : [], spread())
  const bench: Bench = { part, meter, chance, celsius, ...(one.poor === undefined ? {} : { poor: one.poor }) }
  for (const caution of card.care.cautions)
    if (caution !== 'running-engine' && caution !== 'hot-exhaust') script.put({ kind: 'caution', caution })
  const look = card.checks.find((check) => check.kind === 'look')
  script.put({
    kind: 'look',
    ...(look ? { check: look.id } : {}),
    place: 'coils, leads and plug',
    what: one.poor === undefined ? ['sound'] : ['corroded'],
  })
  workThrough(script, bench)
  if (one.slip) slipped(script)
  if (one.rewound && script.state().finding.word === 'fault-found') {
    script.put({ kind: 'work', what: 'rewind', place: winding(card), words: 'as many turns as came off' }).wait(90)
    readPath(script, { ...bench, part: partOf(card, [], spread()) })
  }
  decide(script, card)
  if (one.outcome) script.wait(60 * 24 * 40).put({ kind: 'outcome', ...one.outcome })
}

/** Reads the last winding once more with a k too much, sees it, and types what the meter shows. */
function slipped(script: Script): void {
  const last = script.run.entries.findLast(
    (entry) => entry.kind === 'reading' && entry.reading.kind === 'value' && entry.reading.pair !== undefined,
  )
  if (last?.kind !== 'reading') return
  const { text, pair, instrument } = last.reading
  const setting = { pair, instrument, contact: 'clips' as const }
  script.read(last.check, /k$/.test(text) ? text.replace('k', 'M') : `${text}k`, setting)
  script.again(last.check, text, { ...setting, mistyped: true, reason: 'the prefix was misread' })
}

function decide(script: Script, card: Card): void {
  const { finding } = script.state()
  const about = finding.faults.flatMap(({ check }) =>
    card.windings.filter((each) => each.id === check).map((each) => each.id),
  )
  if (finding.word === 'fault-found')
    script.put({
      kind: 'decision',
      what: about.length > 0 ? 'rewind' : 'replace',
      ...(about.length > 0 ? { about } : {}),
      why: 'Outside its limits, and read twice where a contact could have done it.',
    })
  else if (finding.word === 'no-fault-found')
    script.put({ kind: 'decision', what: 'return', why: 'Every reading is inside its limits, cold and at rest.' })
  else script.put({ kind: 'decision', what: 'exchange', why: 'Ohms do not decide it; tried beside a known good one.' })
}
