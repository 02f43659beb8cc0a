import type { Instrument, Quantity } from '../document'

const has = ({ functions }: Instrument, quantity: Quantity): boolean =>
  functions.some((one) => one.quantity === quantity && one.ranges.length > 0)

/**
 * The instruments that can read a quantity, those that are made for it first. A multimeter's megohms stand in for an insulation tester,
 * behind it: a weaker test.
 * @example
 * instrumentsFor([pocketMeter, knobMeter], 'current').length // 1
 */
export const instrumentsFor = (instruments: Instrument[], quantity: Quantity): Instrument[] => {
  const made = instruments.filter((one) => has(one, quantity))
  return quantity === 'insulation'
    ? [...made, ...instruments.filter((one) => !made.includes(one) && has(one, 'resistance'))]
    : made
}

/**
 * The instrument for a step: the one in the hand where it reads the quantity, else the first that does.
 * @param inHand the id of the one that was used last for it
 * @param takenLast the id of the one that was taken up last, for whatever: it stays in the hand where it is made for this quantity too
 * @returns undefined where none can
 * @example
 * instrumentFor([pocketMeter, knobMeter], 'resistance', 'k3')?.id // 'k3'
 */
export function instrumentFor(
  instruments: Instrument[],
  quantity: Quantity,
  inHand: string | undefined,
  takenLast = '',
): Instrument | undefined {
  const able = instrumentsFor(instruments, quantity)
  return (
    able.find(({ id }) => id === inHand) ?? able.find((one) => one.id === takenLast && has(one, quantity)) ?? able[0]
  )
}
