import { isReadHot, type Card, type Conditions, type Evaluation } from '@sure-spool/core'
import { conditionWords } from './conditions'
import type { Figures } from './figures'

/** A lead is bent, whatever its state is called on the card. */
const bentState = 'flexed'

/**
 * How a reading was taken, where that differs from what its check asks for, or was said of it alone: `at 650 rpm, loaded with lights`,
 * `bent at the clamp`. Empty where there is nothing to say.
 * @param brief leaves out what a hot reading comes to cold, where there is no room for it
 */
export function takenUnder(
  card: Card,
  one: Pick<Evaluation, 'check' | 'entry' | 'temperature' | 'judged' | 'reference'>,
  figures: Figures,
  brief = false,
): string {
  const { check, entry } = one
  const { conditions, where } = entry.reading
  const own = Object.entries(conditions ?? {}).filter(
    ([name, value]) => JSON.stringify(value) !== JSON.stringify(check.conditions?.[name as keyof Conditions]),
  )
  const state = conditions?.state ?? check.conditions?.state ?? []
  const isBent = state.includes(bentState)
  const said = conditionWords(card, Object.fromEntries(own), figures).map((one) => (one === bentState ? 'bent' : one))
  said.push(...hotWords(one, figures, brief))
  if (where === undefined) return said.join(', ')
  return [...said.filter((one) => one !== 'bent'), isBent ? `bent at ${where}` : `at ${where}`].join(', ')
}

/** A hot winding's figure lies beside limits that are cold: what it comes to there. */
function hotWords(
  one: Pick<Evaluation, 'temperature' | 'judged' | 'reference'>,
  figures: Figures,
  brief: boolean,
): string[] {
  const { judged, reference } = one
  const partC = one.temperature?.partC
  if (judged === undefined || reference === undefined || partC === undefined || !isReadHot(one)) return []
  const warm = `at ${figures.temperature(partC)}`
  return [brief ? warm : `${warm}, ${figures.figure(judged)} at ${figures.temperature(reference.c)}`]
}
