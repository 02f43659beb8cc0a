import type { Card } from '@sure-spool/core'
import { v7 } from 'uuid'
import { holdRefusals, much, nobody, refusingShop, type Refusals } from './refusalHelp'
import { entryFor, reading, runOf } from './world'

let published: Card
let unpublished: Card
const { api, by, cardNamed, draft, write, asJson, shop, url } = refusingShop('refusals', async () => {
  published = cardNamed('18 twin')
  unpublished = draft()
  await write(unpublished)
})

const unit = (changes: object = {}) => ({
  id: v7(),
  tag: `RF-${v7().slice(-6)}`,
  card: { id: published.id, revision: published.revision },
  history: 'used',
  complaint: ['none'],
  words: '',
  takenInAt: '2026-11-25T10:00:00.000Z',
  takenInBy: by(),
  ...changes,
})
const known = () => shop().units.find(({ tag }) => tag === 'SQ-0441')
const done = () => shop().units.find(({ place }) => place === 'done')
const run = () => runOf(shop(), 'SQ-0438')
const meter = () => ({ ...shop().instruments[0], id: 'mx' })
const person = () => ({ id: nobody, name: 'New', role: 'bench' })
const shopWith = (changes: object) => ({ ...shop(), cards: [], units: [], runs: [], ...changes })
const another = (): Card => ({ ...published, name: { ...published.name, note: 'another' } })
const entry = (changes: object = {}) => ({ ...entryFor(run(), reading('low', '318', 318)), ...changes })

const refusals: Refusals = {
  'post /shop/import 400': [
    () =>
      api()
        .post('/api/v1/shop/import')
        .send(shopWith({ version: 9 })),
    'version',
  ],
  'post /shop/import 409': [
    () =>
      api()
        .post('/api/v1/shop/import')
        .send(shopWith({ cards: [another()] })),
    'another body',
  ],
  'post /shop/import 413': [() => asJson('/api/v1/shop/import', much(68_000_000)), 'larger than the server takes'],
  'post /shop/import 415': [() => api().post('/api/v1/shop/import').type('text/plain').send('x'), 'text/plain'],
  'post /shop/import 422': [
    () =>
      api()
        .post('/api/v1/shop/import')
        .send(shopWith({ units: [{ ...unit(), place: 'waiting', card: { id: nobody, revision: 1 } }] })),
    'units[0].card names a card revision',
  ],
  'post /shop/tags 400': [() => api().post('/api/v1/shop/tags').send({ by: 'me' }), 'by'],
  'post /shop/tags 422': [() => api().post('/api/v1/shop/tags').send({ by: nobody }), 'does not know'],
  'put /shop/settings 400': [() => api().put('/api/v1/shop/settings').send({ settings: {}, by: by() }), 'settings.'],
  'put /shop/settings 422': [
    () => api().put('/api/v1/shop/settings').send({ settings: shop().settings, by: nobody }),
    'by',
  ],
  'put /shop/instruments/{id} 400': [
    () =>
      api()
        .put('/api/v1/shop/instruments/mx')
        .send({ instrument: { ...meter(), name: '' }, by: by() }),
    'instrument.name',
  ],
  'put /shop/instruments/{id} 422': [
    () => api().put('/api/v1/shop/instruments/other').send({ instrument: meter(), by: by() }),
    'meter is not the one',
  ],
  'delete /shop/instruments/{id} 400': [() => api().delete('/api/v1/shop/instruments/mx'), 'by'],
  'delete /shop/instruments/{id} 404': [() => api().delete('/api/v1/shop/instruments/mx').query({ by: by() }), 'meter'],
  'delete /shop/instruments/{id} 422': [() => api().delete('/api/v1/shop/instruments/m2').query({ by: nobody }), 'by'],
  'put /shop/people/{id} 400': [
    () =>
      api()
        .put(`/api/v1/shop/people/${nobody}`)
        .send({ person: { ...person(), name: '' }, by: by() }),
    'person.name',
  ],
  'put /shop/people/{id} 404': [
    () => api().put('/api/v1/shop/people/ines').send({ person: person(), by: by() }),
    'What this address names',
  ],
  'put /shop/people/{id} 422': [
    () => api().put(`/api/v1/shop/people/${v7()}`).send({ person: person(), by: by() }),
    'person is not the one',
  ],

  'get /units 400': [() => api().get('/api/v1/units?place=attic'), 'place'],
  'post /units 400': [
    () =>
      api()
        .post('/api/v1/units')
        .send(unit({ history: 'old' })),
    'history',
  ],
  'post /units 409': [
    () =>
      api()
        .post('/api/v1/units')
        .send(unit({ id: known()?.id })),
    'with another body',
  ],
  'post /units 422': [
    () =>
      api()
        .post('/api/v1/units')
        .send(unit({ card: { id: unpublished.id, revision: 1 } })),
    'only a published card',
  ],
  'get /units/{id} 404': [() => api().get(`/api/v1/units/${nobody}`), 'This unit'],
  'get /units/{id}/runs 400': [() => api().get(`/api/v1/units/${known()?.id}/runs?cursor=x`), 'cursor'],
  'get /units/{id}/runs 404': [() => api().get(`/api/v1/units/${nobody}/runs`), 'This unit'],
  'put /units/{id}/place 400': [
    () => api().put(`/api/v1/units/${known()?.id}/place`).send({ place: 'done', by: by() }),
    'place',
  ],
  'put /units/{id}/place 404': [
    () => api().put(`/api/v1/units/${nobody}/place`).send({ place: 'waiting', by: by() }),
    'This unit',
  ],
  'put /units/{id}/place 409': [
    () => api().put(`/api/v1/units/${done()?.id}/place`).send({ place: 'waiting', by: by() }),
    'is done',
  ],
  'put /units/{id}/place 422': [
    () => api().put(`/api/v1/units/${known()?.id}/place`).send({ place: 'waiting', by: nobody }),
    'by',
  ],

  'post /runs 400': [() => api().post('/api/v1/runs').send({ id: v7() }), 'unit'],
  'post /runs 409': [
    () =>
      api()
        .post('/api/v1/runs')
        .send({ id: run().id, unit: run().unit, startedAt: '2026-11-26T10:00:00.000Z', by: by() }),
    'a run with this id',
  ],
  'post /runs 422': [
    () => api().post('/api/v1/runs').send({ id: v7(), unit: nobody, startedAt: '2026-11-26T10:00:00.000Z', by: by() }),
    'take it in first',
  ],
  'get /runs/{id} 404': [() => api().get(`/api/v1/runs/${nobody}`), 'This run'],
  'get /runs/{id}/readings.csv 404': [() => api().get(`/api/v1/runs/${nobody}/readings.csv`), 'This run'],
  'post /runs/{id}/entries 400': [
    () => api().post(`/api/v1/runs/${run().id}/entries`).send({ entries: [] }),
    'entries',
  ],
  'post /runs/{id}/entries 404': [
    () =>
      api()
        .post(`/api/v1/runs/${nobody}/entries`)
        .send({ entries: [entry({ run: nobody })] }),
    'This run',
  ],
  'post /runs/{id}/entries 409': [
    () =>
      api()
        .post(`/api/v1/runs/${run().id}/entries`)
        .send({ entries: [{ ...entry(), id: run().entries[0]?.id }] }),
    'on the tape already with another body',
  ],
  'post /runs/{id}/entries 413': [
    () => asJson(`/api/v1/runs/${run().id}/entries`, much(600_000)),
    'larger than the server takes',
  ],
  'post /runs/{id}/entries 422': [
    () =>
      api()
        .post(`/api/v1/runs/${run().id}/entries`)
        .send({ entries: [entry({ by: nobody })] }),
    'this shop does not know',
  ],
}

holdRefusals(/^\/(shop(?!\/(benches|audit|backups|people\/\{id\}\/secrets))|units|runs)/, refusals, url)
