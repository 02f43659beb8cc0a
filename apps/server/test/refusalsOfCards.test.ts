import type { Card } from '@sure-spool/core'
import { hashOf } from '../src/canonical'
import { holdRefusals, much, nobody, refusingShop, type Refusals } from './refusalHelp'

let standing: { published: Card; draft: Card; hash: string; sketch: Card; preview: string; stale: string }
const { api, by, cardNamed, draft, write, asJson, url } = refusingShop('refusals_of_cards', async () => {
  const kept = draft()
  const sketch = draft({ state: 'sketch' })
  const { hash } = (await write(kept)).body as { hash: string }
  await write(sketch)
  const [stale, preview] = [await previewed(kept), await previewed(kept)]
  // what the previews saw is written over
  const grown = { ...kept, name: { ...kept.name, note: 'grown' } }
  const next = (await write(grown, { replaces: hash })).body as { hash: string }
  standing = { published: cardNamed('18 twin'), draft: grown, hash: next.hash, sketch, preview, stale }
})

const figures = (rows: string) => `maker,model,card id,check,kind,from,to,limit (Ω),source,grade\n${rows}\n`
const csv = (body: string, who = by()) =>
  api().post('/api/v1/cards/figures').query({ by: who }).set('Content-Type', 'text/csv').send(body)
async function previewed({ id, name }: Card): Promise<string> {
  const { body } = await csv(figures(`${name.maker},${name.model},${id},made up,resistance,O,G,9 ±5%,bench,measured`))
  return (body as { preview: string }).preview
}
const head = (card: Card) => ({
  id: card.id,
  revision: card.revision,
  state: card.state,
  hash: hashOf(card),
  maker: card.name.maker,
  model: card.name.model,
})
const another = (): Card => ({ ...standing.published, name: { ...standing.published.name, note: 'another' } })
const at = ({ id, revision }: Pick<Card, 'id' | 'revision'>) => `/api/v1/cards/${id}/revisions/${revision}`

const refusals: Refusals = {
  'get /cards/export 400': [() => api().get('/api/v1/cards/export?ids=one,two'), 'ids'],
  'get /cards/figures.csv 400': [() => api().get('/api/v1/cards/figures.csv?ids='), 'ids'],
  'post /cards/figures 400': [() => csv(figures('a,b,,c,,d,e,9,,'), 'me'), 'by must be a UUID'],
  'post /cards/figures 413': [() => csv(much(9_000_000)), 'larger than the server takes'],
  'post /cards/figures 415': [
    () => api().post('/api/v1/cards/figures').query({ by: by() }).send({}),
    'application/json is not taken here',
  ],
  'post /cards/figures 422': [() => csv(figures('')), 'no rows'],
  'post /cards/figures/{id}/keep 400': [
    () => api().post(`/api/v1/cards/figures/${standing.preview}/keep`).send({}),
    'by',
  ],
  'post /cards/figures/{id}/keep 404': [
    () => api().post(`/api/v1/cards/figures/${nobody}/keep`).send({ by: by() }),
    'This file',
  ],
  'post /cards/figures/{id}/keep 409': [
    () => api().post(`/api/v1/cards/figures/${standing.stale}/keep`).send({ by: by() }),
    'changed since',
  ],
  'post /cards/figures/{id}/keep 422': [
    () => api().post(`/api/v1/cards/figures/${standing.preview}/keep`).send({ by: nobody }),
    'by',
  ],
  'post /cards/preview 400': [() => api().post('/api/v1/cards/preview').send({ by: by(), cards: [] }), 'cards'],
  'post /cards/preview 413': [() => asJson('/api/v1/cards/preview', much(9_000_000)), 'larger than the server takes'],
  'post /cards/preview 422': [
    () =>
      api()
        .post('/api/v1/cards/preview')
        .send({ by: nobody, cards: [head(standing.published)] }),
    'by',
  ],
  'post /cards/import 400': [
    () =>
      api()
        .post('/api/v1/cards/import')
        .send({ by: by(), cards: [{ ...draft(), version: 9 }] }),
    'cards[0].version',
  ],
  'post /cards/import 409': [
    () =>
      api()
        .post('/api/v1/cards/import')
        .send({ by: by(), cards: [another()] }),
    'with another body',
  ],
  'post /cards/import 413': [() => asJson('/api/v1/cards/import', much(68_000_000)), 'larger than the server takes'],
  'post /cards/import 415': [() => api().post('/api/v1/cards/import').type('text/plain').send('x'), 'text/plain'],
  'post /cards/import 422': [
    () =>
      api()
        .post('/api/v1/cards/import')
        .send({ by: nobody, cards: [draft()] }),
    'by',
  ],

  'get /cards 400': [() => api().get('/api/v1/cards?family=teapot'), 'family'],
  'get /cards/{id} 404': [() => api().get(`/api/v1/cards/${nobody}`), 'This card'],
  'get /cards/{id}/record 400': [() => api().get(`/api/v1/cards/${standing.draft.id}/record?cursor=x`), 'cursor'],
  'get /cards/{id}/record 404': [() => api().get(`/api/v1/cards/${nobody}/record`), 'This card'],
  'get /cards/{id}/revisions/{revision} 404': [() => api().get(at({ id: standing.draft.id, revision: 7 })), 'revision'],
  'put /cards/{id}/revisions/{revision} 400': [() => write({ ...draft(), checks: 3 } as never), 'card.checks'],
  'put /cards/{id}/revisions/{revision} 404': [
    () => api().put(`/api/v1/cards/${nobody}/revisions/none`).send({}),
    'This revision',
  ],
  'put /cards/{id}/revisions/{revision} 409': [
    () => write({ ...standing.draft, name: { ...standing.draft.name, note: 'mine' } }),
    'somebody else has changed',
  ],
  'put /cards/{id}/revisions/{revision} 422': [() => write(draft({ state: 'published' })), 'written as a draft'],
  'delete /cards/{id}/revisions/{revision} 400': [() => api().delete(at(standing.draft)), 'by'],
  'delete /cards/{id}/revisions/{revision} 404': [
    () =>
      api()
        .delete(at({ id: standing.draft.id, revision: 7 }))
        .query({ by: by() }),
    'This draft',
  ],
  'delete /cards/{id}/revisions/{revision} 409': [
    () => api().delete(at(standing.published)).query({ by: by() }),
    'published and stays',
  ],
  'delete /cards/{id}/revisions/{revision} 422': [() => api().delete(at(standing.draft)).query({ by: nobody }), 'by'],
  'post /cards/{id}/revisions/{revision}/publish 400': [
    () =>
      api()
        .post(`${at(standing.draft)}/publish`)
        .send({ by: by() }),
    'hash',
  ],
  'post /cards/{id}/revisions/{revision}/publish 404': [
    () =>
      api()
        .post(`${at({ id: nobody, revision: 1 })}/publish`)
        .send({ by: by(), hash: standing.hash }),
    'This draft',
  ],
  'post /cards/{id}/revisions/{revision}/publish 409': [
    () =>
      api()
        .post(`${at(standing.sketch)}/publish`)
        .send({ by: by(), hash: hashOf(standing.sketch) }),
    'a sketch is not published',
  ],
  'post /cards/{id}/revisions/{revision}/publish 422': [
    () =>
      api()
        .post(`${at(standing.draft)}/publish`)
        .send({ by: nobody, hash: standing.hash }),
    'by',
  ],
}

holdRefusals(/^\/cards/, refusals, url)
