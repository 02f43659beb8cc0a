import { bladeMarks } from '../asked'
import { plugsOf, type Card } from '../document'
import type { RunState } from '../state'

/**
 * Which of a card's terminals each counted blade turned out to be (METHODS 7). What is alike either way, as the ends of a coil that works
 * both ways or the two blades of one contact, is given in the card's own order.
 * @param card the card as it is written, not as the run counts it
 * @returns mark → terminal id; nothing while a reading is missing that would tell, or where a blade could be more than one
 * @example
 * bladesOn(scenes.sound().state.run.card, scenes.sound().state) === undefined // true
 */
export function bladesOn(card: Card, { run, roles }: RunState): Record<string, string> | undefined {
  const marks = bladeMarks(card, run.unit.variant)
  const relay = roles.find((one) => one.kind === 'relay')
  const [winding] = card.windings
  if (marks.length === 0 || !relay || !winding || relay.missing.length > 0) return undefined
  if (!relay.normallyClosed && !relay.normallyOpen) return undefined
  const told = new Map(
    run.card.terminals.flatMap(({ id, aliases: [name] }): [string, string][] =>
      name === undefined ? [] : [[id, name]],
    ),
  )
  const ends = [winding.from, winding.to]
  const others = card.terminals.map(({ id }) => id).filter((id) => !ends.includes(id) && id !== 'frame')
  const fill = (blades: string[], ids: string[]) => {
    const unnamed = blades.filter((mark) => !told.has(mark))
    const free = ids.filter((id) => ![...told.values()].includes(id))
    // two are alike; of more nothing tells which is which
    if (unnamed.length === free.length && unnamed.length <= 2)
      unnamed.forEach((mark, i) => told.set(mark, free[i] ?? ''))
  }
  fill(relay.coil, ends)
  if (others.length === 2 || others.every((id) => [...told.values()].includes(id)))
    fill(
      marks.filter((mark) => !relay.coil.includes(mark)),
      others,
    )
  return marks.every((mark) => told.has(mark)) ? Object.fromEntries(told) : undefined
}

/**
 * A card whose counted plug carries the names that one unit's readings gave its blades.
 * @returns the same card where they are not all known, or it has them
 * @example
 * withBladesNamed(scenes.sound().state.run.card, scenes.sound().state).plugs.length // 3
 */
export function withBladesNamed(card: Card, state: RunState): Card {
  const names = bladesOn(card, state)
  if (!names) return card
  const counted = plugsOf(card, state.run.unit.variant)
  const plugs = card.plugs.map((plug) =>
    counted.includes(plug)
      ? {
          ...plug,
          cavities: plug.cavities.map((one) => ({ ...one, terminal: names[one.mark ?? ''] ?? one.terminal })),
        }
      : plug,
  )
  return { ...card, plugs }
}
