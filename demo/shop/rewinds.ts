import type { ShopRewind, Unit } from '@sure-spool/contract'
import {
  gaugeFits,
  nextRewindEntry,
  typedReading,
  type Coil,
  type Reading,
  type Rewind,
  type RewindBody,
} from '@sure-spool/core'
import { pocketMeter } from '@sure-spool/core/testing'
import { person } from './people'

/** One rewind of the demo shop. All of it is made up. */
interface WoundStory {
  tag: string
  by: 'Ines' | 'Tam'
  startedAt: string
  coils: Coil[]
  work: RewindBody[]
}

function read(text: string, quantity: 'length' | 'resistance'): Reading {
  const made = typedReading(text, quantity, false, { instrument: pocketMeter.id })
  if ('problem' in made) throw new Error(`${text} is no reading`)
  return made.reading
}
const poles = Array.from({ length: 10 }, (_, i) => ({ id: `ring-${i + 1}`, winding: 'ring', label: `pole ${i + 1}` }))
const heavy = { bareMm: 0.9, overallMm: 0.963, build: 'heavy' } as const
const fine = { awg: 44, overallMm: 0.0556, build: 'single' } as const
const gauge = (coil: string, strands: number, text: string, build: 'single' | 'heavy'): RewindBody => ({
  kind: 'gauge',
  coil,
  strands,
  reading: read(text, 'length'),
  build,
  candidates: gaugeFits({ overallMm: Number.parseFloat(text) / strands, strands, build }).map(({ awg, bareMm }) =>
    awg === undefined ? { bareMm } : { awg },
  ),
})
const half = (coil: string, turns: number, text: string, partC: number): RewindBody => ({
  kind: 'mid-wind',
  coil,
  turns,
  reading: read(text, 'resistance'),
  partC,
})

const stories: WoundStory[] = [
  {
    tag: 'SQ-0362',
    by: 'Tam',
    startedAt: '2026-11-23T09:00:00.000Z',
    coils: poles,
    work: [
      { kind: 'original', coil: 'ring-1', facts: { turns: 31, layers: 3 } },
      { kind: 'original', coil: 'ring-1', facts: { lay: 'cw', seenFrom: 'outside' } },
      {
        kind: 'original',
        coil: 'ring-1',
        facts: { start: 'inside, at the frame screw', finish: 'over the top to pole 2' },
      },
      gauge('ring-1', 1, '0.968 mm', 'heavy'),
      gauge('ring-1', 5, '4.81 mm', 'heavy'),
      { kind: 'original', coil: 'ring-1', facts: { wire: heavy } },
      { kind: 'step', what: 'edges', words: 'edges of pole 4 rounded: the film was cut there' },
      {
        kind: 'plan',
        coil: 'ring-1',
        plan: { turns: 31, meanTurnMm: 88, wire: heavy, lay: 'cw', from: 'original', why: 'as many as came off' },
      },
      { kind: 'direction', machine: 'cw', lay: 'cw' },
      { kind: 'live-ground', state: 'on' },
      ...[1, 2].map((n): RewindBody => ({ kind: 'wound', coil: `ring-${n}`, turns: 31, lay: n % 2 ? 'cw' : 'ccw' })),
      { kind: 'count', coil: 'ring-3', of: 'wind', turns: 12 },
      { kind: 'live-ground', state: 'beep', coil: 'ring-3', turns: 12 },
      { kind: 'live-ground', state: 'mended', coil: 'ring-3', turns: 12 },
      ...[3, 4, 5].map((n): RewindBody => ({ kind: 'wound', coil: `ring-${n}`, turns: 31, lay: n % 2 ? 'cw' : 'ccw' })),
      { kind: 'count', coil: 'ring-6', of: 'wind', turns: 18 },
      { kind: 'note', words: 'Ferry is in: the rest tomorrow.' },
    ],
  },
  {
    tag: 'SQ-0420',
    by: 'Ines',
    startedAt: '2026-11-18T15:00:00.000Z',
    coils: [{ id: 'second', winding: 'second', label: 'second coil' }],
    work: [
      { kind: 'original', coil: 'second', facts: { turns: 4574 } },
      { kind: 'original', coil: 'second', facts: { lay: 'ccw', seenFrom: 'the cover' } },
      {
        kind: 'original',
        coil: 'second',
        facts: { start: 'deep at the right lug', finish: 'outside, to the left lug' },
      },
      gauge('second', 10, '0.56 mm', 'single'),
      { kind: 'original', coil: 'second', facts: { wire: fine } },
      {
        kind: 'plan',
        coil: 'second',
        plan: {
          turns: 4600,
          ohms20: 4380,
          shape: { kind: 'racetrack', coreLengthMm: 46, coreWidthMm: 9 },
          traverseMm: 9,
          packing: 0.7,
          wire: fine,
          lay: 'ccw',
          from: 'neighbours',
          why: 'its neighbour reads 4.35 k',
        },
      },
      { kind: 'direction', machine: 'cw', lay: 'ccw' },
      { kind: 'count', coil: 'second', of: 'wind', turns: 1150 },
      { kind: 'broke', coil: 'second', turns: 1150, then: 'again' },
      half('second', 2300, '2.12k', 21),
      { kind: 'wound', coil: 'second', turns: 4600, lay: 'ccw', machine: 'cw' },
      { kind: 'step', what: 'leads', words: 'leads soldered at the lugs' },
      { kind: 'step', what: 'fix', material: 'wax', atC: 66, seconds: 480, words: 'wax, 66 C, 8 min' },
      { kind: 'step', what: 'label', words: 'label: 4600 turns of gauge 44' },
    ],
  },
]

/** The demo shop's rewinds: one that is half way, one that is done, and in it a coil that broke. */
export function rewindsOf(units: Unit[], nextId: (at: string) => string): ShopRewind[] {
  return stories.map(({ tag, by, startedAt, coils, work }) => {
    const unit = units.find((one) => one.tag === tag)
    if (!unit) throw new Error(`No unit ${tag}`)
    const begun: Rewind = {
      format: 'sure-spool/rewind',
      version: 1,
      id: nextId(startedAt),
      unit: unit.id,
      startedAt,
      instruments: [],
      coils,
      entries: [],
    }
    const done = work.reduce((rewind, body, i) => {
      const at = new Date(Date.parse(startedAt) + (i + 1) * 600_000).toISOString()
      return {
        ...rewind,
        entries: [...rewind.entries, nextRewindEntry(rewind, body, { id: nextId(at), at, by: person(by) })],
      }
    }, begun)
    const { format: _format, version: _version, ...rest } = done
    return { ...rest, startedBy: person(by), instruments: [pocketMeter.id] }
  })
}
