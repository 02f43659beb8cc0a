import { wire } from '@sure-spool/core'

/** Gauges or sizes next to a wire, thinner and thicker. */
export function nextWires(
  of: { awg?: number; bareMm?: number },
  sizes: readonly number[],
): { awg?: number; bareMm?: number }[] {
  if (of.awg !== undefined) return [{ awg: of.awg + 1 }, { awg: of.awg }, ...(of.awg > 0 ? [{ awg: of.awg - 1 }] : [])]
  const { bareMm } = of
  if (bareMm === undefined) return []
  const thinner = sizes.filter((size) => size < bareMm).at(-1)
  const thicker = sizes.find((size) => size > bareMm)
  return [thinner, bareMm, thicker].flatMap((size) => (size === undefined ? [] : [{ bareMm: size }]))
}

/** What a wire measures over its film, mm; undefined for none. */
export function overallOf({
  awg,
  bareMm,
  build,
}: {
  awg?: number
  bareMm?: number
  build?: 'single' | 'heavy'
}): number | undefined {
  if (awg === undefined && bareMm === undefined) return undefined
  const one = wire(awg === undefined ? { bareMm: bareMm ?? 1 } : { awg })
  return one.bareMm + (build === 'heavy' ? one.heavyBuildMm : one.singleBuildMm)
}
