import type { CheckKind, Instrument, Quantity } from '../document'

const has = ({ functions }: Instrument, quantity: Quantity): boolean =>
  functions.some((one) => one.quantity === quantity && one.ranges.length > 0)

/**
 * Whether what a step asks for are the amperes of a growler's own prongs, induced and no draw.
 * @param kind of the check that asks
 * @example
 * isByProngs('current', 'bars') // true
 */
export const isByProngs = (quantity: Quantity, kind: CheckKind | undefined): boolean =>
  kind === 'bars' && quantity === 'current'

/**
 * The instruments that can read a quantity, those that are made for it first. A multimeter's megohms stand in for an insulation tester,
 * behind it: a weaker test. From bar to bar what reads amperes alone comes first: they are read by a growler's prongs.
 * @param kind of the check that asks
 * @example
 * instrumentsFor([pocketMeter, knobMeter], 'current').length // 1
 */
export const instrumentsFor = (instruments: Instrument[], quantity: Quantity, kind?: CheckKind): Instrument[] => {
  const able = instruments.filter((one) => has(one, quantity))
  const prongs = isByProngs(quantity, kind) ? able.filter(({ functions }) => functions.length === 1) : []
  const made = [...prongs, ...able.filter((one) => !prongs.includes(one))]
  return quantity === 'insulation'
    ? [...made, ...instruments.filter((one) => !made.includes(one) && has(one, 'resistance'))]
    : made
}

/**
 * The instrument for a step: the one in the hand where it reads the quantity, else the first that does.
 * @param inHand the id of the one that was used last for it
 * @param takenLast the id of the one that was taken up last, for whatever: it stays in the hand where it is made for this quantity too
 * @param kind of the check that asks
 * @returns undefined where none can
 * @example
 * instrumentFor([pocketMeter, knobMeter], 'resistance', 'k3')?.id // 'k3'
 */
export function instrumentFor(
  instruments: Instrument[],
  quantity: Quantity,
  inHand: string | undefined,
  takenLast = '',
  kind?: CheckKind,
): Instrument | undefined {
  const able = instrumentsFor(instruments, quantity, kind)
  return (
    able.find(({ id }) => id === inHand) ?? able.find((one) => one.id === takenLast && has(one, quantity)) ?? able[0]
  )
}
