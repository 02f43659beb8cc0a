import type { Family, SketchTerminal } from '@sure-spool/core'

/** A part nobody has figures for, as it is taken in. */
export interface Sketch {
  family: Family
  model: string
  points: string
  framed: boolean
}

const mostPoints = 24

/** `red, black, white` as terminals; `3` as three of them; the same name twice is one, and the frame is asked for apart. */
export function terminalsOf(points: string): SketchTerminal[] {
  const count = Number(points.trim())
  const names =
    Number.isInteger(count) && count > 1 && count <= mostPoints
      ? Array.from({ length: count }, (_, i) => String(i + 1))
      : points.split(/[,;]/).map((one) => one.trim().slice(0, 60))
  return [...new Set(names.filter((one) => one !== '' && one.toLowerCase() !== 'frame'))]
    .slice(0, mostPoints)
    .map((label, i) => ({ id: `t${i + 1}`, label }))
}
