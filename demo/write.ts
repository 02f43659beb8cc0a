import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { shopSchema, type Shop, type ShopRun, type Unit } from '@sure-spool/contract'
import type { Card } from '@sure-spool/core'
import { fourWireMeter, insulationTester, knobMeter, pocketMeter, Script } from '@sure-spool/core/testing'
import { settings } from './shop/settings'
import { people, person } from './shop/people'
import { finished } from './shop/finished'
import { history } from './shop/history'
import { kinds } from './shop/kinds'
import { open } from './shop/open'
import type { Story } from './shop/story'

const here = dirname(fileURLToPath(import.meta.url))
const instruments = [pocketMeter, fourWireMeter, knobMeter, insulationTester]

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

function told(story: Story): { unit: Unit; runs: ShopRun[] } {
  const card = cardNamed(story.card)
  const head = {
    id: nextId(story.takenIn),
    tag: story.tag,
    ...(story.serial === undefined ? {} : { serial: story.serial }),
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
  }
  if (!story.work || story.startedAt === undefined) return { unit, runs: [] }
  const { startedAt } = story
  const script = new Script(card, {
    id: nextId(startedAt),
    unit: head,
    instruments,
    startedAt,
    by: person(story.worker ?? story.by),
    step: 55_000,
    newId: () => nextId(startedAt),
  })
  story.work(script)
  const { run } = script
  return {
    unit,
    runs: [
      {
        id: run.id,
        unit: unit.id,
        card: unit.card,
        history: story.history,
        rule: 'guarded',
        instruments: instruments.map((one) => one.id),
        startedAt,
        startedBy: person(story.worker ?? story.by),
        entries: run.entries,
      },
    ],
  }
}

const all = [...history(cards), ...finished, ...kinds, ...open].map(told)
const shop: Shop = shopSchema.parse({
  format: 'sure-spool/shop',
  version: 1,
  settings,
  people,
  instruments,
  cards,
  units: all.map((one) => one.unit),
  runs: all.flatMap((one) => one.runs),
})
writeFileSync(join(here, 'shop.json'), `${JSON.stringify(shop)}\n`)
process.stdout.write(
  `demo/shop.json: ${shop.cards.length} cards, ${shop.units.length} units, ${shop.runs.length} runs.\n`,
)
