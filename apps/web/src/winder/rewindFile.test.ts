import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { mostPhotosAtOnce, type Photo } from '@sure-spool/contract'
import type { Rewind, RewindEntry } from '@sure-spool/core'
import { browserDatabase } from '../store/browserDatabase'
import { keepPhotoCopy } from '../store/photoCopies'
import { sit } from '../testing/atBench'
import type { FakeServer } from '../testing/fakeServer'
import { beginOutbox } from '../testing/outgoing'
import { endStores } from '../testing/stores'
import { readRewindFile, writeRewindFile } from './rewindFile'
import { useRewindFile } from './useRewindFile'

let server: FakeServer
beforeEach(async () => {
  server = await beginOutbox()
  await (await browserDatabase()).photos.clear()
  await sit(server, 'technician')
})
afterEach(endStores)

const at = '2026-03-02T09:00:00.000Z'
const photo = (id: string): Photo => ({
  id,
  at,
  by: 'p',
  width: 40,
  height: 30,
  sha256: 'a'.repeat(64),
  data: btoa(id),
})
const note = (n: number, name?: string): RewindEntry =>
  ({
    id: `n${n}`,
    rewind: 'r',
    n,
    at,
    by: 'p',
    kind: 'note',
    words: 'so it lay',
    ...(name && { photo: name }),
  }) as RewindEntry
const rewind = (...entries: RewindEntry[]): Rewind => ({
  format: 'sure-spool/rewind',
  version: 1,
  id: 'r',
  unit: 'u',
  startedAt: at,
  instruments: [],
  coils: [{ id: 'c1', winding: 'w', label: 'pole 1' }],
  entries,
})
const asFile = (text: string) => new File([text], 'coil.json')
const unit = { id: 'u', tag: 'B-1', card: 'c', model: 'a stator' }

describe('a rewind as its own file', () => {
  test('carries the pictures it names: from here, else from the server; each once', async () => {
    await keepPhotoCopy(photo('here'))
    await keepPhotoCopy(photo('of another part'))
    server.on('GET', /^\/photos\/there\/file$/, { body: photo('there') })
    const whole = rewind(note(1, 'here'), note(2), note(3, 'there'), note(4, 'here'))
    const { text, without } = await writeRewindFile(whole)
    expect(without).toBe(0)
    expect(await readRewindFile(asFile(text))).toEqual({ rewind: whole, photos: [photo('here'), photo('there')] })
  })

  test('says how many it had to leave, and is whole without', async () => {
    server.refuse('GET', /^\/photos\//, 404, 'This photo is not here.')
    const whole = rewind(note(1, 'gone'))
    const { text, without } = await writeRewindFile(whole)
    expect([without, JSON.parse(text)]).toEqual([1, whole])
  })

  test.each<[string, string, string]>([
    ['half a file', '{"format":', 'is no JSON'],
    ['a figure', '12', 'is no rewind'],
    ['nothing', 'null', 'is no rewind'],
    ['another format', JSON.stringify({ ...rewind(), format: 'sure-spool/run' }), 'format must be'],
    [
      'a picture that is none',
      JSON.stringify({ ...rewind(), photos: [{ ...photo('x'), data: '?' }] }),
      'photos[0].data',
    ],
  ])('%s is refused with a sentence', async (_what, text, words) => {
    await expect(readRewindFile(asFile(text))).rejects.toThrow(words)
    await expect(readRewindFile(asFile(text))).rejects.toThrow('Nothing was taken in.')
  })

  test('comes in at its unit with its own pictures, some at a time', async () => {
    server.on('PUT', /^\/rewinds\/r$/, { body: {} })
    const names = Array.from({ length: mostPhotosAtOnce + 1 }, (_, i) => `p${i}`)
    const whole = rewind(...names.map((name, i) => note(i + 1, name)))
    const text = JSON.stringify({ ...whole, photos: ['strange', ...names].map(photo) })
    expect(await useRewindFile().take(asFile(text), unit, undefined)).toBe('r')
    const sent = server.of('PUT', /rewinds/).map(({ body }) => body as { photos: Photo[]; by: string })
    expect(sent.map(({ photos }) => photos.map(({ id }) => id))).toEqual([names.slice(0, -1), names.slice(-1)])
    expect(sent[0]).toMatchObject({ rewind: whole, by: 'p' })
  })

  test('without a picture it comes in all the same; with the server away it says so', async () => {
    server.on('PUT', /^\/rewinds\/r$/, { body: {} })
    await useRewindFile().take(asFile(JSON.stringify(rewind())), unit, undefined)
    expect(server.of('PUT', /rewinds/)).toHaveLength(1)
    server.away = true
    await expect(useRewindFile().take(asFile(JSON.stringify(rewind())), unit, undefined)).rejects.toThrow(
      'was not taken in whole: the server is away',
    )
  })
})
