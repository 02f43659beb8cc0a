import { z } from 'zod'

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  instance: z.string().optional(),
  errors: z.array(z.object({ path: z.string(), detail: z.string() })).optional(),
})

export const pageSchema = z.strictObject({
  // two names of the longest, in the widest letters
  cursor: z.string().max(3000).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(100),
})

export type Problem = z.infer<typeof problemSchema>
