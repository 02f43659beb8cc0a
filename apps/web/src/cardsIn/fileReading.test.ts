import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { cardSchema } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { FileReading, hashOfCard, type FileRead } from './fileReading'

const twin = readFileSync('demo/cards/orrinvale-18-twin.json', 'utf8')
const card = cardSchema.parse(JSON.parse(twin)) as Card
const bytes = (text: string) => new TextEncoder().encode(text)
const nobody = () => undefined
const read = (text: string | Uint8Array, name = 'in.json'): FileRead =>
  new FileReading().read(name, typeof text === 'string' ? bytes(text) : text, nobody)
function detail(text: string, name?: string): string {
  const found = read(text, name)
  return found.kind === 'refused' ? `${found.problems[0]?.path} ${found.problems[0]?.detail}` : found.kind
}
const several = (...cards: string[]) => `{"format":"sure-spool/cards","version":1,"cards":[${cards.join(',')}]}`

describe('a file is taken by what is in it', () => {
  test('a card, several, with a byte-order mark, whatever the name', () => {
    expect(read(`\uFEFF${twin}`, 'x.txt')).toMatchObject({ kind: 'cards', heads: [{ id: card.id }] })
    expect(read(several(twin, twin))).toMatchObject({ kind: 'cards', heads: [{}, {}] })
  })

  test('anything that does not begin as JSON is figures, in either encoding a sheet is saved in', () => {
    const text = readFileSync('demo/figures.csv', 'utf8')
    const wide = Uint8Array.from([
      0xff,
      0xfe,
      ...[...text].flatMap((sign) => [sign.charCodeAt(0) & 255, sign.charCodeAt(0) >> 8]),
    ])
    const found = read(text, 'f.csv')
    expect(found).toEqual({ kind: 'figures', rows: text.trim().split('\n').length - 1 })
    expect(read(wide, 'f.csv')).toEqual(found)
    expect(detail('maker;model\n', 'f.csv')).toContain('names no column "check"')
  })

  test.each([
    ['nothing in it', '', 'is empty'],
    ['cut off', twin.slice(0, 900), 'cut off'],
    [
      'a later version',
      twin.replace('"version": 1', '"version": 9'),
      'version is a version this program does not know; it reads version 1',
    ],
    ['a whole shop', '{"format":"sure-spool/shop"}', 'Shop screen'],
    ['a run', '{"format":"sure-spool/run"}', 'is a run'],
    ['an end that is nowhere', twin.replace('"from": "O"', '"from": "nowhere"'), 'windings[0].from'],
    ['one name twice', twin.replace('"id": "G"', '"id": "O"'), 'terminals[1].id'],
    [
      'the second of several',
      several(twin, twin.replace('"from": "O"', '"from": "nowhere"')),
      'cards[1].windings[0].from',
    ],
    ['no cards in it', several(), 'at least one card'],
  ])('what is not taken says why, with its path: %s', (_what, text, why) => {
    expect(detail(text)).toContain(why)
  })

  test('what is too large says so before it is read', () => {
    expect(detail('x'.repeat(9_000_000), 'big.csv')).toContain('9 MB; at most 8 MB')
    expect(detail(`{${' '.repeat(60_500_000)}`, 'big.json')).toContain('61 MB; at most 60 MB')
  })
})

describe('only what the server needs to decide comes out', () => {
  test('each card’s head, with the hash of what it says whatever its spacing', () => {
    const found = read(several(twin, JSON.stringify(JSON.parse(twin))))
    if (found.kind !== 'cards') throw new Error(found.kind)
    const [first, second] = found.heads
    expect(first).toEqual({
      id: card.id,
      revision: card.revision,
      state: card.state,
      maker: card.name.maker,
      model: card.name.model,
      hash: hashOfCard(card),
    })
    expect(second?.hash).toBe(first?.hash)
    expect(hashOfCard({ ...card, name: { ...card.name, model: 'another' } })).not.toBe(first?.hash)
  })

  test('how far it is, to the end', () => {
    const told: [number, number][] = []
    new FileReading().read('in.json', bytes(several(...Array.from({ length: 41 }, () => twin))), (...one) =>
      told.push(one),
    )
    expect(told).toEqual([
      [20, 41],
      [40, 41],
      [41, 41],
    ])
  })

  test('the lines to send: who takes them in, then the cards that were asked for', () => {
    const reading = new FileReading()
    reading.read('in.json', bytes(twin), nobody)
    const head = { by: 'p', preview: 'a', decisions: [] } as unknown as Parameters<FileReading['lines']>[0]
    const lines = new TextDecoder().decode(reading.lines(head, [`${card.id}@${card.revision}`, 'nobody@1'])).split('\n')
    expect(lines.map((line) => JSON.parse(line) as unknown)).toEqual([head, card])
  })

  test('where a card differs from the one that is here; of one that is not in the file nothing is said', () => {
    const reading = new FileReading()
    reading.read('in.json', bytes(twin), nobody)
    const ours = { ...card, name: { ...card.name, model: 'another' } }
    expect(reading.differences(`${card.id}@${card.revision}`, ours)).not.toEqual([])
    expect(reading.differences(`${card.id}@${card.revision}`, card)).toEqual([])
    expect(reading.differences('nobody@1', ours)).toEqual([])
  })
})
