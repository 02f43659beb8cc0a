import { onceFor, type Card, type Check, type Run, type Source, type UnitLimit } from '../document'

const sources: Record<UnitLimit['source'], Source> = {
  rewind: { id: 'unit-rewind', grade: 'measured', title: 'planned at the winder for this part' },
  told: { id: 'unit-told', grade: 'told', title: 'told for this part' },
}
const cardsWith = onceFor((_card: Card) => new Map<string, Card>())

/**
 * A run on its card with the limits of this unit alone, on checks that have none for any part or for rewound ones (CARD, `limits`); the run
 * itself where there are none. The same limits on the same card give the same card.
 * @example
 * withUnitLimits(scenes.low().run) === scenes.low().run // false
 */
export function withUnitLimits(run: Run): Run {
  const wanted = (run.limits ?? []).flatMap((one) => {
    const check = run.card.checks.find(({ id }) => id === one.check)
    return check && !hasOwn(run.card, check) ? [one] : []
  })
  if (wanted.length === 0) return run
  const known = cardsWith(run.card)
  const key = JSON.stringify(wanted)
  const card = known.get(key) ?? {
    ...run.card,
    checks: run.card.checks.map((check) => ({
      ...check,
      limits: [...check.limits, ...wanted.filter((one) => one.check === check.id).map(asCardLimit)],
    })),
    sources: [
      ...run.card.sources,
      ...[...new Set(wanted.map(({ source }) => source))].map((source) => sources[source]),
    ],
  }
  known.set(key, card)
  return { ...run, card }
}

const asCardLimit = ({ limit, source, text }: UnitLimit): Check['limits'][number] => ({
  id: `unit-${source}`,
  for: 'any',
  limit,
  source: sources[source].id,
  // a plan is ohms at 20 °C; of what was told nobody said at how many
  ...(source === 'rewind' ? { referenceC: 20 } : {}),
  ...(text === undefined ? {} : { text }),
})

/** A limit for any part or for rewound ones, or ohms from which one is derived. */
function hasOwn({ windings }: Card, { limits, at }: Check): boolean {
  const stated = limits.filter((one) => one.for === 'any' || one.for === 'rewound')
  const derives =
    'pair' in at &&
    windings.some(({ from, to, ohms }) => ohms !== undefined && at.pair.includes(from) && at.pair.includes(to))
  return stated.some(({ limit }) => limit !== 'derived' || derives)
}
