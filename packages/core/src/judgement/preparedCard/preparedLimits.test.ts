import { expect, test } from '@jest/globals'
import { twinCard } from '../../testing'
import { prepareCard } from './prepareCard'

const series = (change: (card: ReturnType<typeof twinCard>) => void) => {
  const card = twinCard()
  change(card)
  return prepareCard(card).checks.get('series')?.limits.used[0]
}

test('a derived limit without a figure of one of its windings is no band, and says that it is derived', () => {
  const none = series((card) => {
    for (const winding of card.windings) if (winding.id === 'high') delete winding.ohms
    for (const check of card.checks) if (check.id === 'high') check.limits = []
  })
  expect(none).toMatchObject({ stated: 'derived', kind: 'derived', band: {} })
  expect(none).not.toHaveProperty('expectOpen')
})

test('one of a pair that no winding joins expects it open', () => {
  const open = series((card) => {
    card.windings = card.windings.filter(({ id }) => id !== 'high')
    for (const check of card.checks) if (check.id === 'series') check.at = { pair: ['O', 'V'] }
  })
  expect(open).toMatchObject({ stated: 'derived', kind: 'open', band: { min: 1e6 }, expectOpen: { atLeast: 1e6 } })
})
