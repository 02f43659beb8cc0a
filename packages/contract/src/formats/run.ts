import {
  complaintIds,
  cautionIds,
  decisionIds,
  isolations,
  lookIds,
  quantities,
  workIds,
  type Run,
} from '@sure-spool/core'
import { z } from 'zod'
import { daySchema, figureSchema, idSchema, labelSchema, momentSchema, wordSchema, wordsSchema } from './basics'
import { cardSchema, checkSchema, conditionsSchema, limitSchema, terminalSchema } from './card'

export const historySchema = z.enum(['new', 'used', 'rewound'])
const pair = z.tuple([wordSchema, wordSchema])

export const readingSchema = z.strictObject({
  taken: z.enum(['typed', 'meter', 'pedal']),
  instrument: wordSchema.optional(),
  leads: labelSchema.optional(),
  contact: z.enum(['tips', 'clips', 'stubs']).optional(),
  text: z.string().max(200, 'is longer than 200 characters'),
  decimalComma: z.boolean(),
  kind: z.enum(['value', 'over', 'above', 'below', 'spread', 'answer']),
  value: figureSchema.optional(),
  low: figureSchema.optional(),
  high: figureSchema.optional(),
  answer: labelSchema.optional(),
  range: figureSchema.positive().optional(),
  conditions: conditionsSchema.optional(),
  samples: z.int().min(1).optional(),
  settled: z.boolean().optional(),
  drops: z.int().min(0).optional(),
  pair: pair.optional(),
  index: z.int().min(1).optional(),
  x: figureSchema.optional(),
  xText: labelSchema.optional(),
  method: z.enum(['beeper', 'volts-over-amps']).optional(),
  volts: figureSchema.optional(),
  amps: figureSchema.optional(),
  where: labelSchema.optional(),
  supersedes: idSchema.optional(),
  mistyped: z.literal(true).optional(),
  reason: wordsSchema.optional(),
})

const rangeSchema = z.strictObject({
  fullScale: figureSchema.positive(),
  resolution: figureSchema.positive(),
  percentOfReading: figureSchema.min(0).optional(),
  counts: figureSchema.min(0).optional(),
})

export const instrumentSchema = z.strictObject({
  id: wordSchema,
  name: labelSchema,
  overSign: z.enum(['OL', '1', '>']),
  ranging: z.enum(['auto', 'hand']),
  fourWire: z.literal(true).optional(),
  beepsBelow: figureSchema.positive().optional(),
  zero: z.enum(['hardware', 'subtract']).optional(),
  dueOn: daySchema.optional(),
  functions: z.array(z.strictObject({ quantity: z.enum(quantities), ranges: z.array(rangeSchema).max(40) })).max(20),
})

/** What one unit is to read: by the plan of its rewind, or as it was told. */
export const unitLimitSchema = z.strictObject({
  check: wordSchema,
  limit: limitSchema,
  source: z.enum(['rewind', 'told']),
  text: labelSchema.optional(),
})

export const comparisonSchema = z.strictObject({
  as: z.enum(['twin', 'neighbour', 'earlier', 'new']),
  tag: labelSchema,
  run: idSchema.optional(),
  figures: z.array(
    z.strictObject({
      check: wordSchema,
      pair: z.tuple([wordSchema, wordSchema]).optional(),
      index: z.int().min(1).optional(),
      value: figureSchema,
      u: figureSchema.min(0),
    }),
  ),
  failed: z.array(wordSchema).max(400).optional(),
})

const head = {
  id: idSchema,
  run: idSchema,
  n: z.int().min(1).max(100_000),
  at: momentSchema,
  by: idSchema,
  receivedAt: momentSchema.optional(),
  /** seconds by which the bench's clock was off; `at` is right by them */
  clock: z.int().min(-1e9).max(1e9).optional(),
}
const celsius = figureSchema.min(-60, 'is colder than any bench').max(300, 'is hotter than any bench')

/** A place on a photo, as shares of its width and height. */
export const spotSchema = z.strictObject({ x: figureSchema.min(0).max(1), y: figureSchema.min(0).max(1) })

/** A note, on a run's tape as on a rewind's: words, what they are about, a photo and the place on it. */
export const noteFields = {
  kind: z.literal('note'),
  words: wordsSchema.min(1),
  about: labelSchema.optional(),
  photo: labelSchema.optional(),
  spot: spotSchema.optional(),
}

export const entrySchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...head, kind: z.literal('reading'), check: wordSchema, reading: readingSchema }),
  z.strictObject({
    ...head,
    kind: z.literal('lead-check'),
    instrument: wordSchema,
    leads: labelSchema.optional(),
    text: labelSchema,
    ohms: figureSchema,
    u: figureSchema.min(0),
    how: z.enum(['hardware', 'subtract', 'carried']),
    from: z.strictObject({ run: idSchema, at: momentSchema }).optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('proof'),
    instrument: wordSchema.optional(),
    of: z.enum(['tips', 'same-metal', 'open-leads', 'jack']),
    terminal: wordSchema.optional(),
    text: labelSchema.optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('supply'),
    text: labelSchema,
    volts: figureSchema,
    u: figureSchema.min(0),
    while: z.enum(['off', 'on']),
    limitAmps: figureSchema.positive().optional(),
    check: wordSchema.optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('temperature'),
    part: z.enum(['room', 'measured', 'hot', 'cold']),
    partC: celsius.optional(),
    uPartC: figureSchema.min(0).optional(),
    roomC: celsius.optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('isolation'),
    state: z.enum(isolations),
    lifted: z.array(wordSchema).optional(),
    parallelOhms: figureSchema.positive().optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('wires'), map: z.record(wordSchema, wordSchema) }),
  z.strictObject({ ...head, kind: z.literal('caution'), caution: z.enum(cautionIds) }),
  z.strictObject({
    ...head,
    kind: z.literal('look'),
    check: wordSchema.optional(),
    place: labelSchema,
    what: z.array(z.enum(lookIds)).min(1),
    words: wordsSchema.optional(),
    photo: labelSchema.optional(),
    spot: spotSchema.optional(),
    fault: z.literal(true).optional(),
  }),
  z.strictObject({ ...head, ...noteFields }),
  z.strictObject({
    ...head,
    kind: z.literal('work'),
    what: z.enum(workIds),
    place: labelSchema,
    undoes: idSchema.optional(),
    rewind: labelSchema.optional(),
    words: wordsSchema.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('ask'), check: checkSchema }),
  z.strictObject({ ...head, kind: z.literal('point'), terminal: terminalSchema, on: wordSchema }),
  z.strictObject({ ...head, kind: z.literal('compare'), with: comparisonSchema }),
  z.strictObject({ ...head, kind: z.literal('place'), where: z.enum(['machine', 'bench']) }),
  z.strictObject({ ...head, kind: z.literal('skip'), check: wordSchema, reason: wordsSchema.min(1) }),
  z.strictObject({ ...head, kind: z.literal('answer'), remark: wordSchema, reason: wordsSchema.min(1) }),
  z.strictObject({ ...head, kind: z.literal('take-back'), entry: idSchema, reason: wordsSchema }),
  z.strictObject({
    ...head,
    kind: z.literal('decision'),
    what: z.enum(decisionIds),
    about: z.array(z.union([wordSchema, z.number()])).optional(),
    why: wordsSchema,
    /** who stands for it beside somebody who is learning */
    second: idSchema.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('outcome'), what: z.enum(['ran-well', 'came-back']), words: wordsSchema }),
])

export const unitInRunSchema = z.strictObject({
  id: idSchema,
  tag: labelSchema,
  serial: labelSchema.optional(),
  items: z.int().min(1).max(1000).optional(),
  variant: wordSchema.optional(),
  history: historySchema,
  complaint: z.array(z.enum(complaintIds)).max(20),
  words: wordsSchema,
})

/** A run as a document that stands alone: unit, card, instruments, entries. Verdicts are computed, never carried. */
export const runSchema = z
  .strictObject({
    format: z.literal('sure-spool/run', 'must be "sure-spool/run"'),
    version: z.literal(1, 'is a version this program does not know; it reads version 1'),
    id: idSchema,
    unit: unitInRunSchema,
    card: cardSchema,
    rule: z.enum(['guarded', 'simple']),
    instruments: z.array(instrumentSchema).max(50),
    startedAt: momentSchema,
    limits: z.array(unitLimitSchema).max(200).optional(),
    compare: z.array(comparisonSchema).optional(),
    entries: z.array(entrySchema).max(20_000),
  })
  .superRefine((run, context) => {
    for (const { path, message } of tornEntries(run as Run)) context.addIssue({ code: 'custom', path, message })
  })

function tornEntries(run: Run): { path: (string | number)[]; message: string }[] {
  const seen = new Set<string>()
  return run.entries.flatMap((entry, i) => {
    const doubled = seen.has(entry.id)
    seen.add(entry.id)
    if (doubled) return [{ path: ['entries', i, 'id'], message: `"${entry.id}" stands twice; an entry is made once` }]
    if (entry.run !== run.id)
      return [{ path: ['entries', i, 'run'], message: 'names another run than the one it stands in' }]
    return []
  })
}
