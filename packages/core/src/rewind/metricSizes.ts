/** Steps of a decade after the R 40 series of preferred numbers (ISO 3). */
const r40 = [
  1, 1.06, 1.12, 1.18, 1.25, 1.32, 1.4, 1.5, 1.6, 1.7, 1.8, 1.9, 2, 2.12, 2.24, 2.36, 2.5, 2.65, 2.8, 3, 3.15, 3.35,
  3.55, 3.75, 4, 4.25, 4.5, 4.75, 5, 5.3, 5.6, 6, 6.3, 6.7, 7.1, 7.5, 8, 8.5, 9, 9.5,
]
const thinnest = 0.02
const thickest = 5

/** Bare diameters that metric magnet wire is drawn to, mm, ascending from 0.02 to 5 (R 40; IEC 60317-0-1). */
export const metricSizes: readonly number[] = [0.01, 0.1, 1]
  .flatMap((decade) => r40.map((step) => Number((decade * step).toPrecision(3))))
  .filter((size) => size >= thinnest && size <= thickest)
