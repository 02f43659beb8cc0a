import { readFileSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import type { QueueUnit, ShopView } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import type { World } from './world'

/** Words of a dozen letters to the very length that a format allows, with one among them that cannot be broken. */
function long(signs: number, first = 'Longshankling'): string {
  const unbroken = 'Wetterhahnkammerzundspulenwicklung'
  let text = `${first} ${signs > 120 ? unbroken : ''}`
  while (text.length < signs) text += ' ratherlengthy'
  return text.slice(0, signs).trim().padEnd(signs, 'x')
}

/** The 18 twin with every name as long as it may be. */
function longCard(): Card {
  const card = JSON.parse(readFileSync('demo/cards/orrinvale-18-twin.json', 'utf8')) as Card
  const named = <T extends { label: string }>(all: T[]): T[] =>
    all.map((one) => ({ ...one, label: long(200, one.label) }))
  return {
    ...card,
    id: randomUUID(),
    revision: 1,
    state: 'published',
    name: { ...card.name, maker: long(200, 'Maker'), model: long(200, 'Model') },
    terminals: named(card.terminals),
    plugs: named(card.plugs),
    windings: named(card.windings),
    checks: named(card.checks),
    relations: named(card.relations),
    sources: card.sources.map((one) => ({ ...one, title: long(200, one.title) })),
  }
}

/** A part whose names are as long as the formats allow, begun and read a little. @returns its run */
export async function longRun(world: World): Promise<string> {
  const { people } = await world.get<ShopView>('/shop')
  const by = people[0]?.id ?? ''
  const card = longCard()
  await world.post('/cards/import', { cards: [card], by })
  const unit = randomUUID()
  const at = new Date().toISOString()
  await world.post('/units', {
    id: unit,
    tag: long(60, `Tag ${unit.slice(0, 8)}`),
    history: 'used',
    complaint: ['trips-when-hot'],
    words: long(2000, 'It'),
    from: long(200, 'From'),
    card: { id: card.id, revision: 1 },
    takenInAt: at,
    takenInBy: by,
  })
  const run = randomUUID()
  await world.post('/runs', { id: run, unit, startedAt: at, by })
  const reading = (check: string, value: number) => ({
    kind: 'reading',
    check,
    reading: { taken: 'typed', text: String(value), decimalComma: false, kind: 'value', value, contact: 'tips' },
  })
  const bodies = [
    { kind: 'look', place: 'the part', what: ['burnt', 'cracked'], words: long(2000, 'Seen') },
    { kind: 'isolation', state: 'loose' },
    { kind: 'temperature', part: 'measured', partC: 20 },
    { kind: 'note', words: long(2000, 'Noted') },
    reading('low', 322),
    reading('high', 52.1),
    reading('series', 358.4),
  ]
  const entries = bodies.map((body, i) => ({ id: randomUUID(), run, n: i + 1, at, by, ...body }))
  await world.post(`/runs/${run}/entries`, { entries })
  return run
}

export const unitOfRun = async (world: World, run: string): Promise<QueueUnit | undefined> =>
  (await world.get<{ units: QueueUnit[] }>('/units?limit=200')).units.find(({ standing }) => standing?.run === run)
