import type { Colour } from '@sure-spool/core'

/** Wire colours as a stripe on paper; the name always stands beside them. */
export const wirePaint: Record<Colour, string> = {
  black: '#26221f',
  brown: '#6f4526',
  red: '#b3322a',
  orange: '#d0691c',
  yellow: '#e3bd33',
  green: '#3f7d44',
  blue: '#3a62a8',
  violet: '#6f4a93',
  grey: '#8a8d8c',
  white: '#fdfcf8',
  pink: '#dd8ba4',
  tan: '#c89d5c',
  turquoise: '#3a9a97',
  bare: '#b98a5b',
  clear: '#efe9da',
}
