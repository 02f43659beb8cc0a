import type { Cavity, Plug, Side } from '@sure-spool/core'

/** A plug in cells: `column` and `row` count from the top left, and lie between cells where the plug is round or a triangle. */
export interface HeldPlug {
  columns: number
  rows: number
  cells: (Pick<Cavity, 'terminal' | 'gender' | 'mark'> & { column: number; row: number })[]
  key: { kind: Plug['key']['kind']; side: Side }
  /** how it is seen: the drawn side, or the other one when flipped */
  seen: string
}

const clockwise: Side[] = ['top', 'right', 'bottom', 'left']
/** the side that is drawn and the one behind it; the bare word "outside" would read as a verdict */
const sides: Record<Plug['drawnFrom'], [string, string]> = {
  'wire side': ['wire side', 'mating side'],
  'mating side': ['mating side', 'wire side'],
  outside: ['outer side', 'back'],
}

/**
 * A plug as it is held: flipped (seen from its other side, left and right exchanged) and turned clockwise in quarters.
 * @param quarters how many quarter turns, any whole number
 */
export function holdPlug(plug: Plug, flipped: boolean, quarters: number): HeldPlug {
  const { columns, rows, places } = placesOf(plug)
  let held: HeldPlug = {
    columns,
    rows,
    cells: plug.cavities.map(({ at: _, ...what }, i) => {
      const [column, row] = places[i] ?? [0, 0]
      return { ...what, column: flipped ? columns - 1 - column : column, row }
    }),
    key: { kind: plug.key.kind, side: flipped ? mirrored(plug.key.side) : plug.key.side },
    seen: sides[plug.drawnFrom][flipped ? 1 : 0],
  }
  for (let turn = 0; turn < ((quarters % 4) + 4) % 4; turn++) held = turned(held)
  return held
}

interface Places {
  columns: number
  rows: number
  /** of each cavity, [column, row] in cells */
  places: [number, number][]
}

function placesOf(plug: Plug): Places {
  const columns = 'columns' in plug.size ? plug.size.columns : plug.size.count
  const rows = 'rows' in plug.size ? plug.size.rows : 1
  const indices = plug.cavities.map(({ at: [column, row] }) => row * columns + column)
  if (plug.shape === 'circle') return inCircle(columns * rows, indices)
  if (plug.shape === 'triangle') return inTriangle(columns * rows, indices)
  return { columns, rows, places: plug.cavities.map(({ at }) => at) }
}

/** Neighbours on a circle stand a little more than a cell apart: upright cells do not touch at a slant either. */
const apart = 1.08

/** Round, the first at the top, clockwise. */
function inCircle(count: number, indices: number[]): Places {
  const radius = count < 2 ? 0 : apart / (2 * Math.sin(Math.PI / count))
  const size = 2 * radius + 1
  const places = indices.map((i): [number, number] => {
    const angle = (2 * Math.PI * i) / Math.max(1, count)
    return [radius + radius * Math.sin(angle), radius - radius * Math.cos(angle)]
  })
  return { columns: size, rows: size, places }
}

/** One at the top, two below it, three below these. */
function inTriangle(count: number, indices: number[]): Places {
  const rowOf = (i: number) => Math.floor((Math.sqrt(8 * i + 1) - 1) / 2)
  const rows = rowOf(Math.max(0, count - 1)) + 1
  const places = indices.map((i): [number, number] => {
    const row = rowOf(i)
    return [(rows - 1 - row) / 2 + i - (row * (row + 1)) / 2, row]
  })
  return { columns: rows, rows, places }
}

const mirrored = (side: Side): Side => (side === 'left' ? 'right' : side === 'right' ? 'left' : side)

function turned({ columns, rows, cells, key, seen }: HeldPlug): HeldPlug {
  return {
    columns: rows,
    rows: columns,
    cells: cells.map((cell) => ({ ...cell, column: rows - 1 - cell.row, row: cell.column })),
    key: { ...key, side: clockwise[(clockwise.indexOf(key.side) + 1) % 4] ?? key.side },
    seen,
  }
}

/** What the drawing shows, in words: `wire side, sockets, notch left`. */
export function heldWords({ cells, key, seen }: HeldPlug): string {
  const genders = new Set(cells.map((cell) => cell.gender).filter((gender) => gender !== undefined))
  const contacts = genders.size === 1 ? (genders.has('female') ? 'sockets' : 'pins') : ''
  const keyed = key.kind === 'none' ? '' : `${key.kind} ${key.side}`
  return [seen, contacts, keyed].filter((word) => word !== '').join(', ')
}
