import { rewindSteps, unknownFacts, type Rewind } from '@sure-spool/core'
import { z } from 'zod'
import { figureSchema, idSchema, labelSchema, momentSchema, wordSchema, wordsSchema } from './basics'
import { instrumentSchema, noteFields, readingSchema, spotSchema } from './run'

const turns = figureSchema.min(0).max(1e6, 'is more turns than any coil has')
const lay = z.enum(['cw', 'ccw'])
const millimetres = figureSchema.positive().max(10_000)

export const coilShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('round'), coreMm: millimetres }),
  z.strictObject({ kind: z.literal('racetrack'), coreLengthMm: millimetres, coreWidthMm: millimetres }),
  z.strictObject({ kind: z.literal('rectangle'), a: millimetres, b: millimetres }),
])

const facts = {
  turns: turns.optional(),
  layers: z.int().min(1).max(10_000).optional(),
  ohms20: figureSchema.positive().optional(),
  ohmsPerTurn: figureSchema.positive().optional(),
  henries: figureSchema.positive().optional(),
  wire: z
    .strictObject({
      awg: z.int().min(0).max(56).optional(),
      bareMm: millimetres.optional(),
      overallMm: millimetres.optional(),
      build: z.enum(['single', 'heavy']).optional(),
      film: labelSchema.optional(),
      strands: z.int().min(1).max(1000).optional(),
    })
    .optional(),
  lay: lay.optional(),
  seenFrom: labelSchema.optional(),
  start: labelSchema.optional(),
  finish: labelSchema.optional(),
  pole: z.enum(['north', 'south']).optional(),
  fixing: labelSchema.optional(),
  left: z
    .strictObject({
      ohms20: figureSchema.positive().optional(),
      metres: figureSchema.positive().max(1e6).optional(),
      grams: figureSchema.positive().max(1e6).optional(),
    })
    .optional(),
}
export const coilPlanSchema = z.strictObject({
  ...facts,
  from: z.enum(['original', 'card', 'twin', 'neighbours', 'rewinds', 'told', 'estimate']),
  why: wordsSchema,
  shape: coilShapeSchema.optional(),
  traverseMm: millimetres.optional(),
  windowMm: millimetres.optional(),
  packing: figureSchema.min(0.05).max(1.2).optional(),
  meanTurnMm: millimetres.optional(),
})

export const coilSchema = z.strictObject({
  id: wordSchema,
  winding: wordSchema,
  label: labelSchema,
  sister: labelSchema.optional(),
})

const head = {
  id: idSchema,
  rewind: idSchema,
  n: z.int().min(1).max(100_000),
  at: momentSchema,
  by: idSchema,
  receivedAt: momentSchema.optional(),
  clock: z.int().min(-1e9).max(1e9).optional(),
}

export const rewindEntrySchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...head,
    kind: z.literal('original'),
    coil: wordSchema,
    facts: z.strictObject(facts),
    photo: labelSchema.optional(),
    spot: spotSchema.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('unknown'), coil: wordSchema, of: z.enum(unknownFacts) }),
  z.strictObject({
    ...head,
    kind: z.literal('gauge'),
    coil: wordSchema,
    strands: z.int().min(1).max(1000),
    reading: readingSchema,
    build: z.enum(['single', 'heavy']).optional(),
    candidates: z
      .array(z.strictObject({ awg: z.int().min(0).max(56).optional(), bareMm: millimetres.optional() }))
      .max(100),
  }),
  z.strictObject({ ...head, kind: z.literal('plan'), coil: wordSchema, plan: coilPlanSchema }),
  z.strictObject({ ...head, kind: z.literal('direction'), machine: lay, lay }),
  z.strictObject({ ...head, kind: z.literal('count'), coil: wordSchema, of: z.enum(['strip', 'wind']), turns }),
  z.strictObject({
    ...head,
    kind: z.literal('mid-wind'),
    coil: wordSchema,
    turns,
    reading: readingSchema,
    partC: figureSchema.min(-60).max(300).optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('live-ground'),
    state: z.enum(['on', 'beep', 'mended', 'off']),
    coil: wordSchema.optional(),
    turns: turns.optional(),
    words: wordsSchema.optional(),
  }),
  z.strictObject({ ...head, kind: z.literal('broke'), coil: wordSchema, turns, then: z.enum(['splice', 'again']) }),
  z.strictObject({
    ...head,
    kind: z.literal('wound'),
    coil: wordSchema,
    turns,
    machine: lay.optional(),
    lay: lay.optional(),
    metres: figureSchema.positive().optional(),
    words: wordsSchema.optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('step'),
    what: z.enum(rewindSteps),
    coil: wordSchema.optional(),
    material: labelSchema.optional(),
    atC: figureSchema.min(-60).max(600).optional(),
    seconds: figureSchema.min(0).max(1e7).optional(),
    words: wordsSchema.optional(),
    photo: labelSchema.optional(),
    spot: spotSchema.optional(),
  }),
  z.strictObject({
    ...head,
    kind: z.literal('phase'),
    coil: wordSchema,
    swing: z.enum(['same', 'opposite']),
    magnets: z.enum(['alike', 'opposite', 'unknown']),
  }),
  z.strictObject({ ...head, kind: z.literal('answer'), remark: labelSchema, reason: wordsSchema.min(1) }),
  z.strictObject({ ...head, ...noteFields }),
  z.strictObject({ ...head, kind: z.literal('take-back'), entry: idSchema, reason: wordsSchema }),
])

const coils = z
  .array(coilSchema)
  .min(1, 'names no coil')
  .max(400)
  .refine((all) => new Set(all.map(({ id }) => id)).size === all.length, 'names a coil twice')

/** A rewind as a document: the coils in order, and what was done with them. What follows from it is computed, never carried. */
export const rewindSchema = z
  .strictObject({
    format: z.literal('sure-spool/rewind', 'must be "sure-spool/rewind"'),
    version: z.literal(1, 'is a version this program does not know; it reads version 1'),
    id: idSchema,
    unit: idSchema,
    before: idSchema.optional(),
    startedAt: momentSchema,
    instruments: z.array(instrumentSchema).max(50),
    coils,
    entries: z.array(rewindEntrySchema).max(20_000),
  })
  .superRefine((rewind, context) => {
    for (const [i, entry] of (rewind as Rewind).entries.entries())
      if (entry.rewind !== rewind.id)
        context.addIssue({
          code: 'custom',
          path: ['entries', i, 'rewind'],
          message: 'names another rewind than the one it stands in',
        })
  })
