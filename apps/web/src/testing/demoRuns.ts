import { readFileSync } from 'node:fs'
import type { Shop } from '@sure-spool/contract'
import { runState, type Run, type RunState } from '@sure-spool/core'

/** Every run of the demo shop as it is judged, with its tag and its model, in the order of their names. */
export function demoRuns(): { name: string; state: RunState }[] {
  const shop = JSON.parse(readFileSync('demo/shop.json', 'utf8')) as Shop
  return shop.runs
    .map((one) => {
      const run = runOf(shop, one)
      return { name: `${run.unit.tag} ${run.card.name.model}`, state: runState(run) }
    })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
}

function runOf(shop: Shop, one: Shop['runs'][number]): Run {
  const unit = shop.units.find(({ id }) => id === one.unit)
  const card = shop.cards.find(({ id, revision }) => id === one.card.id && revision === one.card.revision)
  if (!unit || !card) throw new Error(`the run ${one.id} names a unit and a card`)
  const instruments = shop.instruments.filter(({ id }) => one.instruments.includes(id))
  const { id, tag, complaint, words, variant, items } = unit
  return {
    format: 'sure-spool/run',
    version: 1,
    id: one.id,
    unit: {
      id,
      tag,
      complaint,
      words,
      ...(variant === undefined ? {} : { variant }),
      ...(items === undefined ? {} : { items }),
      history: one.history,
    },
    card,
    rule: one.rule,
    instruments,
    startedAt: one.startedAt,
    ...(one.compare ? { compare: one.compare } : {}),
    ...(one.limits ? { limits: one.limits } : {}),
    entries: one.entries,
  }
}
