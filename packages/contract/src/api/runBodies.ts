import { causeKinds, type Run } from '@sure-spool/core'
import { z } from 'zod'
import { asKept } from './asKept'
import {
  conditionsSchema,
  entrySchema,
  exactMomentSchema,
  idSchema,
  momentSchema,
  runSchema,
  uuidSchema,
} from '../formats'

const verdict = z.enum(['within', 'borderline', 'outside', 'none'])

export const findingWordSchema = z.enum(['fault-found', 'undecided', 'no-fault-found'])

export const summarySchema = z.object({
  core: z.string(),
  finding: findingWordSchema,
  causes: z.array(
    z.object({
      kind: z.enum(causeKinds),
      of: z.array(z.string()),
      explains: z.array(z.string()),
      share: z.number().optional(),
      ohms: z.number().optional(),
      volts: z.number().optional(),
      between: z.tuple([z.string(), z.string()]).optional(),
      along: z.object({ winding: z.string(), share: z.number(), u: z.number() }).optional(),
    }),
  ),
  verdicts: z.array(
    z.object({
      check: z.string(),
      verdict,
      reason: z.string().optional(),
      held: z.literal(true).optional(),
      points: z.array(
        z.object({
          pair: z.tuple([z.string(), z.string()]).optional(),
          index: z.number().optional(),
          x: z.number().optional(),
          conditions: conditionsSchema.optional(),
          verdict,
          reason: z.string().optional(),
          held: z.literal(true).optional(),
        }),
      ),
    }),
  ),
  items: z.array(z.object({ index: z.number(), finding: findingWordSchema })),
  relations: z.array(z.object({ id: z.string(), verdict })),
  remarks: z.array(
    z.object({
      id: z.string(),
      severity: z.enum(['stop', 'warn', 'note']),
      check: z.string().optional(),
      entry: z.string().optional(),
      answered: z.literal(true).optional(),
    }),
  ),
  retaken: z.array(z.string()),
  untested: z.array(z.string()),
  unjudged: z.array(z.string()),
  explained: z.array(z.string()),
})

export const newRunSchema = z.strictObject({
  id: uuidSchema,
  unit: uuidSchema,
  startedAt: exactMomentSchema,
  by: uuidSchema,
  /** goes on with the run of the unit that is open, where there is one, instead of beginning a second beside it */
  goOn: z.literal(true).optional(),
})

/** What binds something to the person who made it and the bench it was made on: made with the key of their seat there, HMAC-SHA256 over its canonical text. */
export const sealSchema = z.strictObject({ seat: uuidSchema, mac: z.string().regex(/^[0-9a-f]{64}$/, 'is no seal') })

/** Entries for one tape; `seals` stand in the entries' order, `seconds` by the ids of decisions that need a second person's word. */
export const entriesSchema = asKept(
  z.strictObject({
    entries: z.array(entrySchema).min(1).max(200),
    seals: z.array(sealSchema.nullable()).max(200).optional(),
    seconds: z.record(uuidSchema, sealSchema).optional(),
  }),
)

export const keptSchema = z.object({
  kept: z.array(z.object({ id: idSchema, receivedAt: momentSchema, repeated: z.boolean() })),
  count: z.number(),
  state: summarySchema,
})

export const runViewSchema = z.object({ run: runSchema, state: summarySchema })

export type Seal = z.infer<typeof sealSchema>
export type NewRun = z.infer<typeof newRunSchema>
export type Kept = z.infer<typeof keptSchema>
export type RunView = { run: Run; state: z.infer<typeof summarySchema> }
