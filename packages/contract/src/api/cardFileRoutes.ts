import { z } from 'zod'
import { cardsSchema } from '../formats'
import * as bodies from './bodies'
import { byId, type Route } from './route'

/** Cards and figures in and out as files. */
export const cardFileRoutes: Route[] = [
  {
    method: 'get',
    path: '/cards/export',
    summary: 'Cards as one file: those named, or all published ones',
    query: bodies.idsQuerySchema,
    answer: cardsSchema,
    problems: [400],
  },
  {
    method: 'get',
    path: '/cards/figures.csv',
    summary: 'Figures of cards as CSV, one row a limit',
    query: bodies.idsQuerySchema,
    answer: z.string(),
    problems: [400],
  },
  {
    method: 'post',
    path: '/cards/figures',
    summary: 'A CSV of figures: says row by row what it would do, and holds it for a day to be kept',
    query: bodies.byQuerySchema,
    body: z.string(),
    media: 'text/csv',
    answer: bodies.figuresPreviewSchema,
    problems: [400, 413, 415, 422],
  },
  {
    method: 'post',
    path: '/cards/figures/{id}/keep',
    summary: 'Writes the drafts that a preview of figures said, all or none',
    params: byId,
    body: bodies.keepFiguresSchema,
    answer: bodies.figuresKeptSchema,
    problems: [400, 404, 409, 422],
  },
  {
    method: 'post',
    path: '/cards/preview',
    summary: 'What would become of the cards of a file, from their heads and hashes',
    body: bodies.previewCardsSchema,
    answer: bodies.cardsPreviewSchema,
    problems: [400, 413, 422],
  },
  {
    method: 'post',
    path: '/cards/import',
    summary:
      'Takes cards in, all or none; a conflict waits for a word, nothing is overwritten. As application/x-ndjson the first line is the head without cards, each other line a card; asked for application/x-ndjson it answers with lines of progress and a last line with the result or the problem',
    body: bodies.importCardsSchema,
    answer: bodies.importedCardsSchema,
    problems: [400, 409, 413, 415, 422],
  },
]
