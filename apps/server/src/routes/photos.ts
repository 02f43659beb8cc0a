import { newPhotoSchema } from '@sure-spool/contract'
import express, { Router } from 'express'
import type { Served } from './served'
import { sealIn } from '../http/comesIn'
import { answers, idOf, parse } from '../http/handle'
import { asShopPhoto, keepPhoto, viewPhoto } from '../services/keepPhoto'

/** Photos of parts. */
export function photoRoutes({ database }: Pick<Served, 'database'>): Router {
  const router = Router()
  router.post(
    '/photos',
    express.json({ limit: '900kb' }),
    answers(async (request, response) => {
      const kept = await keepPhoto(
        database,
        parse(newPhotoSchema, request.body),
        sealIn(request),
        new Date().toISOString(),
      )
      response.status(201)
      return kept
    }),
  )
  router.get(
    '/photos/:id',
    answers(async (request, response) => {
      const { bytes } = await viewPhoto(database, idOf(request.params['id']))
      response.type('image/jpeg').setHeader('Content-Disposition', 'inline')
      response.send(bytes)
    }),
  )
  router.get(
    '/photos/:id/file',
    answers(async (request) => asShopPhoto(await viewPhoto(database, idOf(request.params['id'])))),
  )
  return router
}
