import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { readFile } from './readFile'

const twin = readFileSync('demo/cards/orrinvale-18-twin.json', 'utf8')
const file = (text: string | Uint8Array<ArrayBuffer>, name = 'in.json') => new File([text], name)
const detail = async (one: File) => {
  const read = await readFile(one)
  return read.kind === 'refused' ? `${read.problems[0]?.path} ${read.problems[0]?.detail}` : read.kind
}

describe('a file is taken by what is in it', () => {
  test('a card, several, with a byte-order mark, whatever the name', async () => {
    expect(await readFile(file(`\uFEFF${twin}`, 'x.txt'))).toMatchObject({
      kind: 'cards',
      cards: [{ family: 'ignition-stator' }],
    })
    const several = `{"format":"sure-spool/cards","version":1,"cards":[${twin},${twin}]}`
    expect(await readFile(file(several))).toMatchObject({ kind: 'cards', cards: [{}, {}] })
  })

  test('anything that does not begin as JSON is figures', async () => {
    expect((await readFile(file('maker;model\n', 'f.csv'))).kind).toBe('figures')
  })

  test('what is not taken says why, with its path', async () => {
    expect(await detail(file(''))).toContain('is empty')
    expect(await detail(file(twin.slice(0, 900)))).toContain('cut off')
    expect(await detail(file(twin.replace('"version": 1', '"version": 9')))).toBe(
      'version is a version this program does not know; it reads version 1',
    )
    expect(await detail(file('{"format":"sure-spool/shop"}'))).toContain('Shop screen')
    expect(await detail(file(twin.replace('"from": "O"', '"from": "nowhere"')))).toContain('windings[0].from')
    expect(await detail(file(twin.replace('"id": "G"', '"id": "O"')))).toContain('terminals[1].id')
    expect(await detail(file('x'.repeat(9_000_000), 'big.csv'))).toContain('9 MB')
  })
})
