import { z } from 'zod'
import { photoSchema } from '../formats'
import * as bodies from './bodies'
import { byId, type Route } from './route'

/** Photos: kept once, shown as they are. */
export const photoRoutes: Route[] = [
  {
    method: 'post',
    path: '/photos',
    summary: 'Keeps a photo; safe to repeat',
    body: bodies.newPhotoSchema,
    answer: bodies.photoKeptSchema,
    created: true,
    problems: [400, 403, 409, 413, 422],
  },
  {
    method: 'get',
    path: '/photos/{id}',
    summary: 'A photo, as JPEG',
    params: byId,
    answer: z.string(),
    media: 'image/jpeg',
    problems: [404],
  },
  {
    method: 'get',
    path: '/photos/{id}/file',
    summary: 'A photo as a file carries it: who took it and when, its fingerprint, its picture',
    params: byId,
    answer: photoSchema,
    problems: [404],
  },
]
