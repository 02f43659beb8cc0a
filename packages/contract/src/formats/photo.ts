import { z } from 'zod'
import { exactMomentSchema, idSchema } from './basics'

/** Most bytes of one photo, and most dots along its longer edge: what a bench needs to know a place again. */
export const mostPhotoBytes = 600_000
export const mostPhotoEdge = 1600

const edge = z.int().min(1).max(mostPhotoEdge)

/** What a photo is, beside its picture: taken by whom and when, how large, and the fingerprint that ties the picture to it. */
export const photoHeadSchema = z.strictObject({
  id: idSchema,
  at: exactMomentSchema,
  by: idSchema,
  width: edge,
  height: edge,
  sha256: z.string().regex(/^[0-9a-f]{64}$/, 'is no SHA-256 in hexadecimal'),
})

/** A photo as it goes up and as a shop file carries it: a JPEG in base64. It never changes. */
export const photoSchema = photoHeadSchema.extend({
  data: z.base64('is no base64').max(4 * Math.ceil(mostPhotoBytes / 3), 'is larger than a photo here may be'),
})

export type Photo = z.infer<typeof photoSchema>
export type PhotoHead = z.infer<typeof photoHeadSchema>

/** The photos that entries name, each once, in the order of the tape. */
export const photosNamed = (entries: readonly object[]): string[] => [
  ...new Set(entries.flatMap((entry) => ('photo' in entry && typeof entry.photo === 'string' ? entry.photo : []))),
]
