import { z } from 'zod'
import { idSchema } from '../formats'

/** One route of the API: what it takes, what it answers, and the statuses with which it refuses. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
  summary: string
  params?: z.ZodObject
  /** a body that is no JSON */
  media?: string
  query?: z.ZodObject
  body?: z.ZodType
  answer: z.ZodType
  created?: true
  problems: number[]
}

export const byId = z.object({ id: idSchema })
export const byRevision = z.object({ id: idSchema, revision: z.coerce.number() })
