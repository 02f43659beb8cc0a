import { describe, expect, test } from '@jest/globals'
import type { Photo, Shop } from '@sure-spool/contract'
import { createHash } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { tmpdir } from 'node:os'
import request from 'supertest'
import { v7 } from 'uuid'
import { worldOf, type World } from './world'

const world = worldOf('shop_lines')
const other = worldOf('shop_lines_other', { empty: true })
const none = worldOf('shop_lines_none', { empty: true })

const exported = (of: World, form = '') =>
  request(of.app)
    .get(`/api/v1/shop/export${form}`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => done(null, Buffer.concat(parts).toString('utf8')))
    })
const takeIn = (of: World, text: string, type = 'application/x-ndjson') =>
  request(of.app).post('/api/v1/shop/import').type(type).send(text)
const linesOf = (text: string) => text.split('\n').filter((line) => line !== '')
const left = () => readdirSync(tmpdir()).filter((name) => name.startsWith('sure-spool-'))

describe('a shop a record a line', () => {
  test('says the same as the one document, and comes in as it was', async () => {
    const answer = await exported(world, '?form=lines')
    expect(answer.headers['content-type']).toContain('application/x-ndjson')
    const text = answer.body as string
    const [head, ...records] = linesOf(text).map((line) => JSON.parse(line) as Record<string, unknown>)
    const whole = JSON.parse((await exported(world)).body as string) as Shop
    const { settings, people, instruments } = whole
    expect(head).toEqual({ format: 'sure-spool/shop', version: 1, settings, people, instruments })
    expect(records.flatMap(({ run }) => run ?? [])).toEqual(whole.runs)
    expect(records.flatMap(({ unit }) => unit ?? [])).toEqual(whole.units)

    const taken = await takeIn(other, text)
    expect([taken.status, taken.body]).toEqual([200, expect.objectContaining({ runs: whole.runs.length })])
    expect(JSON.parse((await exported(other)).body as string)).toEqual(whole)
    const again = await takeIn(other, text)
    expect(again.body).toEqual({ people: 0, instruments: 0, cards: 0, units: 0, runs: 0, entries: 0 })
    expect(left()).toEqual([])
  }, 120_000)

  test('is taken in however large it is', async () => {
    const bytes = Buffer.concat([
      Buffer.from([0xff, 0xd8, 0xff, 0xe0]),
      Buffer.alloc(590_000, 7),
      Buffer.from([0xff, 0xd9]),
    ])
    const [sha256, data] = [createHash('sha256').update(bytes).digest('hex'), bytes.toString('base64')]
    const by = world.shop.people[0]?.id ?? ''
    const at = '2026-11-25T10:00:00.000Z'
    const photo = (): Photo => ({ id: v7(), at, by, width: 800, height: 600, sha256, data })
    const { settings, people, instruments } = world.shop
    const head = { format: 'sure-spool/shop', version: 1, settings, people, instruments }
    const photos = Array.from({ length: 90 }, photo)
    const text = [head, ...photos.map((one) => ({ photo: one }))].map((one) => JSON.stringify(one)).join('\n')
    expect(text.length).toBeGreaterThan(68_000_000)
    expect((await takeIn(other, text)).status).toBe(200)
    const last = await request(other.app).get(`/api/v1/photos/${photos.at(-1)?.id}`)
    expect((last.body as Buffer).length).toBe(bytes.length)
  }, 120_000)

  test.each<[string, (lines: string[]) => string[], number, string]>([
    ['that is cut off', (lines) => [...lines.slice(0, 9), (lines[9] ?? '').slice(0, 40)], 400, 'line 10 is not JSON'],
    ['with a line that is no record', (lines) => [...lines.slice(0, 2), '{"thing":{}}'], 400, 'line 3 is no record'],
    ['with two records on a line', (lines) => [lines[0] ?? '', '{"card":{},"unit":{}}'], 400, 'line 2 is no record'],
    ['with a list for a record', (lines) => [lines[0] ?? '', '[1]'], 400, 'line 2 is no record'],
    ['with nothing for one', (lines) => [lines[0] ?? '', 'null'], 400, 'line 2 is no record'],
    ['without its head', (lines) => lines.slice(1), 400, 'format'],
    ['of nothing', () => [''], 400, 'the file is empty'],
    ['with half a record', (lines) => [lines[0] ?? '', '{"unit":{"id":"x"}}'], 400, 'units[0].'],
    [
      'with a second record wrong',
      (lines) => [lines[0] ?? '', lines.find((line) => line.startsWith('{"card"')) ?? '', '{"card":{}}'],
      400,
      'cards[1].',
    ],
    [
      'that names what comes nowhere before',
      (lines) => [lines[0] ?? '', lines.find((line) => line.startsWith('{"run"')) ?? ''],
      422,
      'runs[0].unit names a unit',
    ],
  ])('%s is refused, and nothing of it is kept', async (_what, change, status, words) => {
    const lines = linesOf((await exported(world, '?form=lines')).body as string)
    const answer = await takeIn(none, change(lines).join('\n'))
    expect([answer.status, answer.body.detail]).toEqual([status, expect.stringContaining(words)])
    const { cards, units, people } = JSON.parse((await exported(none)).body as string) as Shop
    expect([cards, units, people]).toEqual([[], [], []])
    expect(left()).toEqual([])
  })

  test('another form is refused', async () => {
    expect((await request(world.app).get('/api/v1/shop/export?form=pages')).status).toBe(400)
  })
})
