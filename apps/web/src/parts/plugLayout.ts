import type { Plug, Side } from '@sure-spool/core'

export interface HeldPlug {
  columns: number
  rows: number
  cells: { terminal: string | null; gender: 'male' | 'female' | undefined; column: number; row: number }[]
  key: { kind: Plug['key']['kind']; side: Side }
  /** how it is seen: the drawn side, or the other one when flipped */
  seen: string
}

const clockwise: Side[] = ['top', 'right', 'bottom', 'left']
const other: Record<Plug['drawnFrom'], string> = {
  'wire side': 'mating side',
  'mating side': 'wire side',
  outside: 'from behind',
}

/**
 * A plug as it is held: flipped (seen from its other side, left and right exchanged) and turned clockwise in quarters.
 * @param quarters how many quarter turns, any whole number
 */
export function holdPlug(plug: Plug, flipped: boolean, quarters: number): HeldPlug {
  const columns = 'columns' in plug.size ? plug.size.columns : plug.size.count
  const rows = 'rows' in plug.size ? plug.size.rows : 1
  let held: HeldPlug = {
    columns,
    rows,
    cells: plug.cavities.map(({ at: [column, row], terminal, gender }) => ({
      terminal,
      gender,
      column: flipped ? columns - 1 - column : column,
      row,
    })),
    key: { kind: plug.key.kind, side: flipped ? mirrored(plug.key.side) : plug.key.side },
    seen: flipped ? other[plug.drawnFrom] : plug.drawnFrom,
  }
  for (let turn = 0; turn < ((quarters % 4) + 4) % 4; turn++) held = turned(held)
  return held
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
