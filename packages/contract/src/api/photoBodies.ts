import { z } from 'zod'
import { idSchema, momentSchema, photoSchema, uuidSchema } from '../formats'
import { asKept } from './asKept'

/** A new photo: who took it is somebody here, its id one of ours. */
export const newPhotoSchema = asKept(photoSchema.extend({ id: uuidSchema, by: uuidSchema }))

export const photoKeptSchema = z.object({ id: idSchema, receivedAt: momentSchema })
