import {
  jumpersOf,
  type CoilFacts,
  type CoilState,
  type CoilWire,
  type Jumper,
  type LeftTells,
  type RewindEntry,
  type RewindState,
  type WholeWinding,
  type WireFit,
  type WireLeft,
} from '@sure-spool/core'
import { photosOf, type Shown } from './photosOf'
import type { Figures } from './figures'

/** What an entry of a rewind is, in a word or two. */
export const rewindKindWords: Record<RewindEntry['kind'], string> = {
  original: 'As it was',
  unknown: 'As it was',
  gauge: 'Micrometer',
  plan: 'Plan',
  direction: 'One turn by hand',
  count: 'Turns so far',
  'mid-wind': 'Half way',
  'live-ground': 'Live ground',
  broke: 'Wire broke',
  wound: 'Wound',
  step: 'Step',
  phase: 'Against its sister',
  answer: 'Answer to a remark',
  note: 'Note',
  'take-back': 'Taken back',
}

/** said of what the old coil does not tell any more */
export const notKnown = 'cannot be known'
const unknownWords = { turns: 'Turns', lay: 'Lay', ends: 'Start', wire: 'Wire' } as const

export const layWords = { cw: 'clockwise', ccw: 'counter-clockwise' } as const
export const mm = (value: number, figures: Figures) => `${figures.plain(value, 4)}\u2009mm`

/** A wire by its gauge or size: `gauge 44, single film`, `0.9 mm, heavy film`. */
export function wireWords(wire: CoilWire | WireFit, figures: Figures): string {
  const size =
    wire.awg === undefined ? (wire.bareMm === undefined ? '' : mm(wire.bareMm, figures)) : `gauge ${wire.awg}`
  return [size, wire.build === undefined ? '' : `${wire.build} film`].filter((one) => one !== '').join(', ')
}

export const labelOf = (state: RewindState, coil: string | undefined): string =>
  state.rewind.coils.find(({ id }) => id === coil)?.label ?? ''

/** What is known of a coil as it was, a line each, and what nobody can tell any more. */
export const originalLines = ({ original, unknown }: Pick<CoilState, 'original' | 'unknown'>, figures: Figures) => [
  ...factLines(original, figures),
  ...[...unknown].map((of) => ({ name: unknownWords[of], text: notKnown })),
]

function factLines(facts: CoilFacts, figures: Figures): { name: string; text: string }[] {
  const { turns, layers, lay, seenFrom, start, finish, wire, ohms20, henries, left } = facts
  const line = (name: string, text: string) => (text === '' ? [] : [{ name, text }])
  return [
    ...line('Turns', turns === undefined ? '' : `${turns}${layers === undefined ? '' : ` in ${layers} layers`}`),
    ...line(
      'Lay',
      lay === undefined ? '' : `${layWords[lay]}${seenFrom === undefined ? '' : `, seen from ${seenFrom}`}`,
    ),
    ...line('Start', start ?? ''),
    ...line('Finish', finish ?? ''),
    ...line('Wire', wire ? wireWords(wire, figures) : ''),
    ...line('Ohms', ohms20 === undefined ? '' : figures.bound(ohms20)),
    ...line('Henries', henries === undefined ? '' : figures.bound(henries, 'inductance')),
    ...line('Came off', left ? leftWords(left, figures) : ''),
  ]
}

const leftWords = ({ metres, ohms20, grams }: WireLeft, figures: Figures): string =>
  [
    metres === undefined ? '' : `${figures.plain(metres, 4)} m`,
    ohms20 === undefined ? '' : `${figures.bound(Number(ohms20.toPrecision(4)))} at 20\u00a0°C`,
    grams === undefined ? '' : `${figures.plain(grams, 4)} g`,
  ]
    .filter((one) => one !== '')
    .join(', ')

/** What ohms, length and mass of the old wire tell, where they tell anything. */
export function leftTellsWords({ bareMm, metres }: LeftTells, figures: Figures): string {
  if (bareMm === undefined) return metres === undefined ? '' : `${figures.plain(metres, 3)} m of wire`
  return `${figures.plain(bareMm, 3)}\u2009mm of copper${metres === undefined ? '' : `, ${figures.plain(metres, 3)} m`}`
}

/** An entry of the tape: what it says, in one line. */
export function rewindEntryWords(entry: RewindEntry, state: RewindState, figures: Figures): string {
  const of = 'coil' in entry && entry.coil !== undefined ? `${labelOf(state, entry.coil)}: ` : ''
  switch (entry.kind) {
    case 'original':
      return (
        of +
        factLines(entry.facts, figures)
          .map(({ name, text }) => `${name.toLowerCase()} ${text}`)
          .join(', ')
      )
    case 'unknown':
      return `${of}${unknownWords[entry.of].toLowerCase()} ${notKnown}`
    case 'gauge':
      return `${of}${entry.strands === 1 ? 'one strand' : `${entry.strands} strands`} ${entry.reading.text}`
    case 'plan':
      return (
        of +
        [
          entry.plan.turns === undefined ? '' : `${Math.round(entry.plan.turns)} turns`,
          entry.plan.wire ? wireWords(entry.plan.wire, figures) : '',
        ]
          .filter((one) => one !== '')
          .join(', ')
      )
    case 'direction':
      return `machine ${layWords[entry.machine]} lays ${layWords[entry.lay]}`
    case 'count':
      return `${of}${entry.turns}`
    case 'mid-wind':
      return `${of}${entry.turns} turns, ${entry.reading.text}${entry.partC === undefined ? '' : ` at ${figures.temperature(entry.partC)}`}`
    case 'live-ground':
      return `${of}${entry.state}${entry.turns === undefined ? '' : ` at turn ${entry.turns}`}`
    case 'broke':
      return `${of}at turn ${entry.turns}, ${entry.then === 'splice' ? 'spliced' : 'begun again'}`
    case 'wound':
      return `${of}${entry.turns} turns${entry.lay === undefined ? '' : `, ${layWords[entry.lay]}`}`
    case 'step':
      return entry.words ?? entry.what
    case 'phase':
      return `${of}${entry.swing === 'same' ? 'swings the same way' : 'swings the other way'}, magnets ${entry.magnets === 'unknown' ? 'not looked at' : entry.magnets}`
    case 'answer':
      return entry.reason
    case 'note':
      return entry.words
    case 'take-back':
      return entry.reason
  }
}

/** The photos of a rewind that stand, each with what was entered with it. */
export const rewindPhotos = (state: RewindState, figures: Figures): Shown[] =>
  photosOf(
    state.rewind.entries.filter(({ id }) => !state.takenBack.has(id)),
    (entry) => rewindEntryWords(entry, state, figures),
  )

/** Where each start goes, jumper by jumper; none for a coil alone. */
export function jumperWords(state: Pick<RewindState, 'rewind'>, coils: readonly CoilState[]): string[] {
  const name = (one: Jumper['from']) =>
    one === 'lead' ? 'lead' : `${one.end} of ${state.rewind.coils.find(({ id }) => id === one.coil)?.label ?? ''}`
  return jumpersOf(coils).map(({ from, to }) => `${name(from)} to ${name(to)}`)
}

/** What is written on a coil: turns, wire, ohms, day and who. */
export function coilLabel(
  { coil, wound, plan, original }: CoilState,
  whole: WholeWinding | undefined,
  on: { day: string; who: string },
  figures: Figures,
): string {
  const wire = plan?.wire ?? original.wire
  const turns = wound?.turns ?? plan?.turns
  return [
    coil.label,
    turns === undefined ? '' : `${Math.round(turns)} turns`,
    wire ? wireWords(wire, figures) : '',
    whole ? `${figures.bound(Number(whole.ohms20.toPrecision(3)))} planned at 20\u00a0°C` : '',
    on.day,
    on.who,
  ]
    .filter((one) => one !== '')
    .join(', ')
}
