import {
  typedReading,
  type Conditions,
  type Evaluation,
  type Quantity,
  type Reading,
  type ReadingProblem,
  type ReadingSetting,
} from '@sure-spool/core'

/** A reading again, where and how it was taken, as another text says or under other conditions: it takes the old one's place as mistyped. */
export function retyped(
  { id, reading: before }: Evaluation['entry'],
  quantity: Quantity,
  text: string,
  reason: string,
  more?: Conditions,
): { reading: Reading } | { problem: ReadingProblem } {
  const { instrument, leads, contact, range, pair, index, x, xText, where, decimalComma } = before
  const at = { instrument, leads, contact, range, pair, index, x, xText, where }
  const stated = Object.fromEntries(Object.entries(at).filter(([, value]) => value !== undefined)) as ReadingSetting
  const conditions = { ...before.conditions, ...more }
  return typedReading(text, quantity, decimalComma, {
    ...stated,
    ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
    supersedes: id,
    mistyped: true,
    reason,
  })
}
