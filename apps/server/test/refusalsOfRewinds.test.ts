import type { RewindBody } from '@sure-spool/core'
import { createHash } from 'node:crypto'
import { v7 } from 'uuid'
import { holdRefusals, much, nobody, refusingShop, type Refusals } from './refusalHelp'

const coils = [{ id: 'c1', winding: 'low', label: 'low' }]
const begun = v7()
const kept = v7()
const reader = v7()
const { api, by, asJson, shop, url } = refusingShop('refusals_of_rewinds', async () => {
  const answer = await api()
    .post('/api/v1/rewinds')
    .send(rewind({ id: begun }))
  const picture = await keep({ id: kept })
  const person = { id: reader, name: 'Reader', role: 'counter', access: 'reader' }
  const known = await api().put(`/api/v1/shop/people/${reader}`).send({ person, by: by() })
  const statuses = [answer.status, picture.status, known.status]
  if (statuses.join() !== '201,201,200') throw new Error(`the shop is not ready: ${statuses.join()}`)
})
const unit = () => shop().units[0]?.id ?? ''
const learner = () => shop().people.find(({ access }) => access === 'learner')?.id ?? ''
const rewind = (changes: object = {}) => ({
  id: v7(),
  unit: unit(),
  startedAt: '2026-11-25T10:00:00.000Z',
  by: by(),
  coils,
  ...changes,
})
const entry = (changes: object = {}): object => {
  const body: RewindBody = { kind: 'note', words: 'x' }
  return { id: v7(), rewind: begun, n: 1, at: '2026-11-25T10:05:00.000Z', by: by(), ...body, ...changes }
}
const put = (id: string, ...entries: object[]) => api().post(`/api/v1/rewinds/${id}/entries`).send({ entries })
const file = (changes: object = {}) => {
  const { by: _by, ...head } = rewind()
  return { format: 'sure-spool/rewind', version: 1, ...head, instruments: [], entries: [], ...changes }
}
const takeIn = (whole: { id?: unknown }, who = by()) =>
  api()
    .put(`/api/v1/rewinds/${String(whole.id)}`)
    .send({ rewind: whole, by: who })
/** The least that is a JPEG, told apart by one byte. */
function pictured(byte: number): { sha256: string; data: string } {
  const bytes = Buffer.from([0xff, 0xd8, 0xff, byte, 0xff, 0xd9])
  return { sha256: createHash('sha256').update(bytes).digest('hex'), data: bytes.toString('base64') }
}
const photo = (changes: object = {}) => ({
  id: v7(),
  at: '2026-11-25T10:00:00.000Z',
  by: by(),
  width: 8,
  height: 6,
  ...pictured(0xe0),
  ...changes,
})
const keep = (changes: object = {}) => api().post('/api/v1/photos').send(photo(changes))

const refusals: Refusals = {
  'post /rewinds 400': [
    () =>
      api()
        .post('/api/v1/rewinds')
        .send(rewind({ coils: [] })),
    'coils',
  ],
  'post /rewinds 403': [
    () =>
      api()
        .post('/api/v1/rewinds')
        .send(rewind({ by: reader })),
    'Nothing was kept',
  ],
  'post /rewinds 409': [
    () =>
      api()
        .post('/api/v1/rewinds')
        .send(rewind({ id: begun, coils: [{ ...coils[0], label: 'another' }] })),
    'with another body',
  ],
  'post /rewinds 422': [
    () =>
      api()
        .post('/api/v1/rewinds')
        .send(rewind({ unit: nobody })),
    'names a unit that is not here',
  ],
  'get /rewinds/{id} 404': [() => api().get(`/api/v1/rewinds/${nobody}`), 'This rewind'],
  'post /rewinds/{id}/entries 400': [() => put(begun, entry({ words: '' })), 'entries[0].words'],
  'post /rewinds/{id}/entries 403': [() => put(begun, entry({ by: reader })), 'Nothing was kept'],
  'post /rewinds/{id}/entries 404': [() => put(nobody, entry()), 'This rewind'],
  'post /rewinds/{id}/entries 409': [
    () => {
      const same = v7()
      return put(begun, entry({ id: same }), entry({ id: same, words: 'another' }))
    },
    'with another body',
  ],
  'post /rewinds/{id}/entries 413': [() => asJson(`/api/v1/rewinds/${begun}/entries`, much(600_000)), 'larger'],
  'post /rewinds/{id}/entries 422': [() => put(begun, entry({ rewind: nobody })), 'names another rewind'],
  'put /rewinds/{id} 400': [() => takeIn(file({ version: 9 })), 'version'],
  'put /rewinds/{id} 403': [() => takeIn(file(), learner()), 'technician'],
  'put /rewinds/{id} 409': [() => takeIn(file({ id: begun, unit: shop().units[1]?.id })), 'is another rewind here'],
  'put /rewinds/{id} 413': [
    () => api().put(`/api/v1/rewinds/${begun}`).set('Content-Type', 'application/json').send(much(17_000_000)),
    'larger',
  ],
  'put /rewinds/{id} 422': [() => takeIn(file({ unit: nobody })), 'names a unit that is neither'],
  'post /photos 400': [() => keep({ width: 0 }), 'width'],
  'post /photos 403': [() => keep({ by: reader }), 'Nothing was kept'],
  'post /photos 409': [() => keep({ id: kept, ...pictured(0xe1) }), 'is another picture'],
  'post /photos 413': [() => asJson('/api/v1/photos', much(1_000_000)), 'larger'],
  'post /photos 422': [() => keep({ sha256: '0'.repeat(64) }), 'fingerprint'],
  'get /photos/{id}/file 404': [() => api().get(`/api/v1/photos/${nobody}/file`), 'This photo'],
  'get /photos/{id} 404': [() => api().get(`/api/v1/photos/${nobody}`), 'This photo'],
}

holdRefusals(/^\/(rewinds|photos)/, refusals, url)
