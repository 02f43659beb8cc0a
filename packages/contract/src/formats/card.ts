import { cautionIds, colours, complaintIds, families, quantities, type Card } from '@sure-spool/core'
import { z } from 'zod'
import { daySchema, figureSchema, idSchema, labelSchema, percentSchema, wordSchema, wordsSchema } from './basics'
import { contradictionsIn } from './contradictions'

const sides = z.enum(['top', 'right', 'bottom', 'left'])
const pair = z.tuple([wordSchema, wordSchema])
const colour = z.enum(colours)

export const terminalSchema = z.strictObject({
  id: wordSchema,
  label: labelSchema,
  aliases: z.array(labelSchema).max(20),
  wire: z.strictObject({ base: colour, tracer: colour.optional() }).optional(),
  part: z.enum(['shield', 'ground-lead', 'joint']).optional(),
})

const plug = z.strictObject({
  id: wordSchema,
  label: labelSchema,
  only: z.array(wordSchema).optional(),
  shape: z.enum(['grid', 'row', 'triangle', 'circle', 'posts', 'blades', 'lugs', 'sockets', 'loose-wires', 'bars']),
  size: z.union([
    z.strictObject({ columns: z.int().min(1).max(40), rows: z.int().min(1).max(40) }),
    z.strictObject({ count: z.int().min(1).max(400) }),
  ]),
  key: z.strictObject({ kind: z.enum(['latch', 'tab', 'notch', 'flat', 'none']), side: sides }),
  drawnFrom: z.enum(['wire side', 'mating side', 'outside']),
  cavities: z
    .array(
      z.strictObject({
        at: z.tuple([z.int().min(0).max(400), z.int().min(0).max(400)]),
        terminal: wordSchema.nullable(),
        mark: wordSchema.optional(),
        gender: z.enum(['male', 'female']).optional(),
      }),
    )
    .max(400),
  adaptor: wordsSchema.optional(),
})

const winding = z.strictObject({
  id: wordSchema,
  label: labelSchema,
  from: wordSchema,
  to: wordSchema,
  ohms: figureSchema.positive('must be above 0').optional(),
  tolerancePct: percentSchema.optional(),
  material: z.enum(['copper', 'aluminium', 'resistive']),
  core: wordSchema.optional(),
})

export const conditionsSchema = z.strictObject({
  volts: figureSchema.optional(),
  rpm: figureSchema.min(0).optional(),
  hertz: figureSchema.min(0).optional(),
  testVolts: figureSchema.min(0).optional(),
  peak: z.literal(true).optional(),
  seriesOhms: figureSchema.min(0).optional(),
  lamp: z.strictObject({ volts: figureSchema.optional(), watts: figureSchema.optional() }).optional(),
  load: labelSchema.optional(),
  state: z.array(labelSchema).max(10).optional(),
  joined: z.array(pair).max(20).optional(),
  drive: z.strictObject({ plus: wordSchema, minus: wordSchema }).nullable().optional(),
})

/** The most that a card may hold of each. */
export const most = { terminals: 400, checks: 400, limitsOfOne: 40, sources: 100 }

export const limitSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('band'), min: figureSchema, max: figureSchema }),
  z.strictObject({ kind: z.literal('nominal'), value: figureSchema, minusPct: percentSchema, plusPct: percentSchema }),
  z.strictObject({ kind: z.literal('atLeast'), value: figureSchema }),
  z.strictObject({ kind: z.literal('atMost'), value: figureSchema }),
  z.strictObject({ kind: z.literal('open'), atLeast: figureSchema.positive() }),
  z.strictObject({ kind: z.literal('closed'), atMost: figureSchema.positive() }),
  z.strictObject({
    kind: z.literal('insulation'),
    minOhms: figureSchema.positive(),
    minVolts: figureSchema.positive().optional(),
    testVolts: figureSchema.positive().optional(),
  }),
  z.strictObject({
    kind: z.literal('curve'),
    points: z
      .array(z.strictObject({ x: figureSchema, ohms: figureSchema }))
      .min(2)
      .max(500),
    tolerancePct: percentSchema,
    scale: z.literal('log').optional(),
  }),
  z.strictObject({ kind: z.literal('alike'), allowedPct: percentSchema }),
  z.strictObject({ kind: z.literal('perMetre'), value: figureSchema.positive(), tolerancePct: percentSchema }),
  z.strictObject({ kind: z.literal('answer'), of: z.array(labelSchema).min(1), right: z.array(labelSchema) }),
  z.strictObject({ kind: z.literal('none') }),
])

const cardLimit = z.strictObject({
  id: wordSchema,
  for: z.enum(['any', 'new', 'used', 'rewound']),
  limit: z.union([limitSchema, z.literal('derived')]),
  text: labelSchema.optional(),
  source: wordSchema,
  referenceC: figureSchema.min(-60).max(250).optional(),
  rule: z.enum(['guarded', 'simple']).optional(),
  assumed: z.literal(true).optional(),
})

const at = z.union([
  z.strictObject({ pair }),
  z.strictObject({ each: z.array(wordSchema).min(1), to: wordSchema }),
  z.strictObject({ among: z.array(wordSchema).min(2) }),
  z.strictObject({ ring: z.int().min(2).max(1000) }),
  z.strictObject({ place: labelSchema }),
])

export const checkSchema = z.strictObject({
  id: wordSchema,
  label: labelSchema,
  kind: z.enum([
    'resistance',
    'continuity',
    'insulation',
    'inductance',
    'capacitance',
    'current',
    'lamp',
    'ac-output',
    'dc-output',
    'field',
    'curve',
    'bars',
    'per-length',
    'contacts',
    'pair-matrix',
    'three-pins',
    'look',
    'act',
    'response',
  ]),
  at,
  required: z.boolean(),
  where: z.enum(['machine', 'bench']).optional(),
  only: z.array(wordSchema).optional(),
  quantity: z.enum(quantities).optional(),
  x: z.enum(quantities).optional(),
  items: z.int().min(1).max(1000).optional(),
  limits: z.array(cardLimit).max(most.limitsOfOne),
  conditions: conditionsSchema.optional(),
  how: z
    .strictObject({ range: labelSchema.optional(), either: z.boolean().optional(), note: wordsSchema.optional() })
    .optional(),
})

const relationHead = { id: wordSchema, label: labelSchema, source: wordSchema }
const relation = z.discriminatedUnion('kind', [
  z.strictObject({ ...relationHead, kind: z.literal('sum'), parts: z.array(wordSchema).min(2), whole: wordSchema }),
  z.strictObject({
    ...relationHead,
    kind: z.literal('equal'),
    checks: z.array(wordSchema).min(1),
    withinPct: percentSchema,
  }),
  z.strictObject({
    ...relationHead,
    kind: z.literal('ratio'),
    of: wordSchema,
    to: wordSchema,
    ratio: figureSchema.positive(),
    withinPct: percentSchema,
  }),
  z.strictObject({
    ...relationHead,
    kind: z.literal('unbalance'),
    checks: z.array(wordSchema).min(1),
    maxPct: percentSchema,
  }),
  z.strictObject({ ...relationHead, kind: z.literal('twin'), check: wordSchema, withinPct: percentSchema }),
  z.strictObject({ ...relationHead, kind: z.literal('above'), check: wordSchema, than: wordSchema, by: figureSchema }),
  z.strictObject({
    ...relationHead,
    kind: z.literal('draw'),
    amps: wordSchema,
    ohms: wordSchema,
    withinPct: percentSchema,
  }),
  z.strictObject({
    ...relationHead,
    kind: z.literal('kind-of-three'),
    check: wordSchema,
    must: z.enum(['split-phase', 'balanced', 'single']),
  }),
])

const source = z.strictObject({
  id: wordSchema,
  grade: z.enum(['maker', 'trade', 'measured', 'told', 'guess']),
  title: labelSchema,
  date: daySchema.optional(),
  note: wordsSchema.optional(),
  units: z.int().min(1).optional(),
})

const hint = z.strictObject({
  when: z.union([z.enum(complaintIds), z.strictObject({ check: wordSchema, verdict: z.enum(['within', 'outside']) })]),
  suspects: z.array(labelSchema),
  clears: z.array(labelSchema).optional(),
  text: labelSchema,
})

/** The card as a document, with every reference inside it resolved: a winding ends on a terminal that is there. */
export const cardSchema = z
  .strictObject({
    format: z.literal('sure-spool/card', 'must be "sure-spool/card"'),
    version: z.literal(1, 'is a version this program does not know; it reads version 1'),
    id: idSchema,
    revision: z.int().min(1),
    state: z.enum(['sketch', 'draft', 'published']),
    family: z.enum(families),
    construction: wordSchema.optional(),
    name: z.strictObject({
      maker: z.string().max(200),
      model: labelSchema,
      partNumbers: z.array(labelSchema).max(50),
      fits: z.array(labelSchema).max(50),
      note: wordsSchema.optional(),
    }),
    variants: z.array(z.strictObject({ id: wordSchema, label: labelSchema })).max(50),
    terminals: z.array(terminalSchema).min(1).max(most.terminals),
    plugs: z.array(plug).max(40),
    windings: z.array(winding).max(400),
    checks: z.array(checkSchema).max(most.checks),
    relations: z.array(relation).max(200),
    sources: z.array(source).max(most.sources),
    hints: z.array(hint).max(200),
    care: z.strictObject({
      isolate: z.array(wordsSchema).max(20),
      ratedVolts: figureSchema.positive().optional(),
      maxTestVolts: figureSchema.min(0),
      electronicsBetween: z.array(pair).max(50).optional(),
      cautions: z.array(z.enum(cautionIds)),
    }),
  })
  .superRefine((card, context) => {
    for (const { path, message } of contradictionsIn(card as Card)) context.addIssue({ code: 'custom', path, message })
  })
