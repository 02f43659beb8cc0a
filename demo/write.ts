import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { shopSchema, type Shop, type ShopRun, type Unit } from '@sure-spool/contract'
import { comparisonOf, type Card, type Entry } from '@sure-spool/core'
import { kit as instruments, Script } from '@sure-spool/core/testing'
import { settings } from './shop/settings'
import { people, person } from './shop/people'
import { finished } from './shop/finished'
import { together } from './shop/together'
import { history } from './shop/history'
import { kinds } from './shop/kinds'
import { open } from './shop/open'
import { rewindsOf } from './shop/rewinds'
import type { Story } from './shop/story'

const here = dirname(fileURLToPath(import.meta.url))

/** Ids that look like those a bench makes (UUIDv7: the time, then a count), the same on every writing. */
function idsFrom(): (at: string) => string {
  let count = 0
  return (at) => {
    count++
    const time = Date.parse(at).toString(16).padStart(12, '0')
    const tail = count.toString(16).padStart(12, '0')
    return `${time.slice(0, 8)}-${time.slice(8)}-7${tail.slice(0, 3)}-8${tail.slice(3, 6)}-${tail.slice(6)}d0d0d0`.slice(
      0,
      36,
    )
  }
}

const cards: Card[] = readdirSync(join(here, 'cards'))
  .sort()
  .map((name) => JSON.parse(readFileSync(join(here, 'cards', name), 'utf8')) as Card)
const cardNamed = (model: string): Card => {
  const card = cards.find((one) => one.name.model === model)
  if (!card) throw new Error(`No card for ${model}`)
  return card
}

const nextId = idsFrom()
const trays = new Map<string, string>()
function trayOf(story: Story): string {
  const id = trays.get(story.tray ?? '') ?? nextId(story.takenIn)
  trays.set(story.tray ?? '', id)
  return id
}

function told(story: Story): { unit: Unit; runs: ShopRun[] } {
  const card = cardNamed(story.card)
  const head = {
    id: nextId(story.takenIn),
    tag: story.tag,
    ...(story.serial === undefined ? {} : { serial: story.serial }),
    ...(card.variants[0] ? { variant: card.variants[0].id } : {}),
    history: story.history,
    complaint: story.complaint,
    words: story.words,
  }
  const unit: Unit = {
    ...head,
    from: story.from,
    card: { id: card.id, revision: card.revision },
    place: story.place,
    ...(story.blockedBy === undefined ? {} : { blockedBy: story.blockedBy }),
    takenInAt: story.takenIn,
    takenInBy: person(story.by),
    ...(story.tray === undefined ? {} : { tray: trayOf(story) }),
  }
  if (!story.work || story.startedAt === undefined) return { unit, runs: [] }
  const { startedAt, work, again } = story
  const scriptOf = (at: string, worker: Story['by'], history: Story['history']) =>
    new Script(card, {
      id: nextId(at),
      unit: { ...head, history },
      instruments,
      startedAt: at,
      by: person(worker),
      step: 55_000,
      newId: () => nextId(at),
    })
  const first = scriptOf(startedAt, story.worker ?? story.by, story.history)
  work(first)
  const runs = [shopRun(first, unit)]
  if (again) {
    const later = scriptOf(again.startedAt, again.worker, again.rewound ? 'rewound' : story.history)
    later.run.compare = [comparisonOf(first.state(), 'earlier')]
    again.work(later)
    runs.push(shopRun(later, unit))
  }
  return { unit: { ...unit, history: runs.at(-1)?.history ?? unit.history }, runs }
}

function shopRun({ run }: Script, unit: Unit): ShopRun {
  return {
    id: run.id,
    unit: unit.id,
    card: unit.card,
    history: run.unit.history,
    rule: 'guarded',
    instruments: instruments.map((one) => one.id),
    startedAt: run.startedAt,
    startedBy: run.entries[0]?.by ?? unit.takenInBy,
    ...(run.compare === undefined ? {} : { compare: run.compare }),
    entries: run.entries.map(seconded),
  } as ShopRun
}

/** What somebody who is learning decides, the owner stands for. */
const seconded = (entry: Entry): Entry =>
  entry.kind === 'decision' && entry.by === person('Wil') ? { ...entry, second: person('Ines') } : entry

const all = [...history(cards), ...finished, ...kinds, ...open, ...together].map(told)
const shop: Shop = shopSchema.parse({
  format: 'sure-spool/shop',
  version: 1,
  settings,
  people,
  // those with a knob have no key that zeroes: the figure is taken off
  instruments: instruments.map((one) => (one.ranging === 'hand' ? { ...one, zero: 'subtract' as const } : one)),
  cards,
  units: all.map((one) => one.unit),
  runs: all.flatMap((one) => one.runs),
  rewinds: rewindsOf(
    all.map((one) => one.unit),
    nextId,
  ),
  photos: [],
})
writeFileSync(join(here, 'shop.json'), `${JSON.stringify(shop)}\n`)
process.stdout.write(
  `demo/shop.json: ${shop.cards.length} cards, ${shop.units.length} units, ${shop.runs.length} runs.\n`,
)
