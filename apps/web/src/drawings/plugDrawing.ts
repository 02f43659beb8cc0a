import type { Card, Plug, Side, Terminal } from '@sure-spool/core'
import { terminalLabel, terminalOf } from '../words/points'
import { holdPlug, type HeldPlug } from './plugLayout'
import { outline, stroke, type Point } from './strokes'
import { fitted, textWidth } from './textRoom'

export const cell = { width: 86, height: 66, gap: 16 }
const edge = 16
const labelSize = 18
const unshelled = new Set<Plug['shape']>(['lugs', 'posts', 'loose-wires', 'blades'])

export interface DrawnCell {
  id: string
  terminal: Terminal | undefined
  gender: 'male' | 'female' | undefined
  empty: boolean
  ringed: boolean
  x: number
  y: number
  /** what is written, in the room there is, and in full */
  label: string
  name: string
  labelY: number
  /** the contact’s own sign: where there is no room for it beside the name, the name stands in its place */
  sign: { kind: 'socket' | 'pin' | 'cross' | 'plain'; d: string } | undefined
}

export interface PlugDrawing {
  width: number
  height: number
  box: { x: number; y: number; width: number; height: number }
  shell: 'none' | 'square' | 'round'
  cells: DrawnCell[]
  key: { kind: Plug['key']['kind']; d: string; gap: string } | undefined
  /** the windings that are not read, as faint lines */
  faint: { id: string; d: string }[]
  /** the line between the two points to touch */
  join: string
  frame: { x: number; y: number; d: string; label: string } | undefined
  held: HeldPlug
}

interface Asked {
  card: Card
  plug: Plug
  ring: string[]
  flipped: boolean
  turns: number
}

const stampedShapes = new Set<Plug['shape']>(['posts', 'blades', 'lugs'])
/** A terminal's name and, on posts, blades and lugs, what is stamped beside it where the card knows that too: `plus post (15)`. */
function stamped(card: Card, { shape }: Plug, id: string): string {
  const label = terminalLabel(card, id)
  const mark = terminalOf(card, id)?.aliases.find((alias) => alias.length <= 3 && alias !== label)
  return stampedShapes.has(shape) && mark !== undefined ? `${label} (${mark})` : label
}

/** A plug as it is held, laid out in the units of its view box: its cavities, names, key, the ringed pair and the other windings. */
export function plugDrawing({ card, plug, ring, flipped, turns }: Asked): PlugDrawing {
  const held = holdPlug(plug, flipped, turns)
  const isRound = plug.shape === 'circle'
  const shell = unshelled.has(plug.shape) ? 'none' : isRound ? 'round' : 'square'
  const inside = held.rows > 2 || isRound || plug.shape === 'triangle'
  const keyOut = (side: Side) =>
    shell !== 'none' && held.key.side === side && ['latch', 'tab'].includes(held.key.kind) ? 11 : 0
  const pitch = { x: cell.width + cell.gap, y: (isRound ? cell.width : cell.height) + cell.gap }
  const around = isRound ? edge + 10 : edge
  const box = {
    x: edge,
    y: inside ? 12 + keyOut('top') : 29 + keyOut('top'),
    width: held.columns * pitch.x - cell.gap + 2 * around,
    height: held.rows * pitch.y - cell.gap + 2 * around,
  }
  const names = held.cells.map(({ terminal, mark }) =>
    terminal === null ? (mark ?? 'empty') : stamped(card, plug, terminal),
  )
  const isStaggered = held.rows === 1 && names.some((name) => textWidth(name, labelSize) > pitch.x - 8)
  const isRinged = held.cells.map(({ terminal }) => terminal !== null && ring.includes(terminal))
  const labels = inside
    ? names.map((name, i) => fitted(name, cell.width - 8, labelSize, undefined, isRinged[i] ? 700 : 400))
    : labelsOf(held, names, isRinged, isStaggered ? 2 * pitch.x : pitch.x, isStaggered)
  const below = box.y + box.height + 20 + keyOut('bottom')
  const cells = held.cells.map((one, i): DrawnCell => {
    const x = box.x + around + one.column * pitch.x
    const y = box.y + around + one.row * pitch.y + (isRound ? (cell.width - cell.height) / 2 : 0)
    const terminal = one.terminal === null ? undefined : terminalOf(card, one.terminal)
    const isBelow = held.rows === 1 ? isStaggered && one.column % 2 === 1 : one.row > 0
    const name = names[i] ?? ''
    return {
      id: one.terminal ?? `${one.column}-${one.row}`,
      terminal,
      gender: one.gender,
      empty: isEmpty(one),
      ringed: isRinged[i] ?? false,
      x,
      y,
      name,
      label: labels[i] ?? '',
      labelY: inside ? y + cell.height - 12 : isBelow ? below : box.y - 9 - keyOut('top'),
      sign: inside ? undefined : signOf(one, x, y),
    }
  })
  const isFramed = ring.includes('frame')
  const hasBelow = cells.some(({ labelY }) => labelY === below)
  const foot = box.y + box.height + keyOut('bottom') + (hasBelow ? 28 : 12)
  const frame = isFramed ? frameSign(terminalLabel(card, 'frame'), box.x + box.width / 2, foot + 12) : undefined
  const centre = (id: string): Point | undefined => {
    const found = cells.find((one) => one.terminal?.id === id)
    return found && [found.x + cell.width / 2, found.y + cell.height]
  }
  return {
    width: box.width + 2 * edge,
    height: frame ? frame.y + 44 : foot,
    box,
    shell,
    cells,
    key: shell === 'none' ? undefined : keyOf(held.key, box),
    faint: card.windings.flatMap(({ id, from, to }) => {
      const [a, b] = [centre(from), centre(to)]
      const isRead = ring.includes(from) && ring.includes(to)
      return a && b && !isRead ? [{ id, d: stroke(a, [a[0], a[1] + 7], [b[0], a[1] + 7], b) }] : []
    }),
    join: joined(ring.map(centre), frame),
    frame,
    held,
  }
}

/** Names that stand on one line take the room their neighbours leave; the ones to touch come first, and are read in full where that can be. */
function labelsOf(held: HeldPlug, names: string[], ringed: boolean[], pitch: number, staggered: boolean): string[] {
  const lineOf = (i: number) => {
    const { column = 0, row = 0 } = held.cells[i] ?? {}
    return staggered ? column % 2 : Math.min(1, row)
  }
  const weight = (i: number) => (ringed[i] ? 700 : 400)
  const widths = names.map((name, i) =>
    Math.min(textWidth(name, labelSize, undefined, weight(i)), 2 * pitch - shortest),
  )
  const labels: string[] = []
  const order = names.map((_, i) => i).toSorted((a, b) => Number(ringed[b]) - Number(ringed[a]))
  for (const i of order) {
    const line = order
      .filter((one) => lineOf(one) === lineOf(i))
      .toSorted((a, b) => columnOf(held, a) - columnOf(held, b))
    const at = line.indexOf(i)
    const reach = [line[at - 1], line[at + 1]].map((next) => {
      if (next === undefined) return pitch / 2 + edge
      // a neighbour that is still to come gives way, down to its shortest
      const isPlaced = labels[next] !== undefined || !ringed[i]
      return pitch - (isPlaced ? (widths[next] ?? 0) : shortest) / 2
    })
    const room = 2 * Math.min(...reach) - nearest
    const label = fitted(names[i] ?? '', room, labelSize, undefined, weight(i))
    labels[i] = label
    widths[i] = textWidth(label, labelSize, undefined, weight(i))
  }
  return labels
}
const columnOf = (held: HeldPlug, i: number) => held.cells[i]?.column ?? 0
/** px between two names, and what is left of a name that gives way */
const nearest = 8
const shortest = 40

/** Nothing sits there: what is stamped or counted is a contact of which it is not known which terminal it is. */
const isEmpty = ({ terminal, mark }: HeldPlug['cells'][number]): boolean => terminal === null && mark === undefined

/** A socket, a pin, an empty cavity, or a contact of which nobody said which. */
function signOf(one: HeldPlug['cells'][number], x: number, y: number): DrawnCell['sign'] {
  const { gender } = one
  const [middle, base] = [x + cell.width / 2, y + cell.height]
  if (isEmpty(one))
    return {
      kind: 'cross',
      d: stroke([middle - 10, y + 23], [middle + 10, y + 43]) + stroke([middle + 10, y + 23], [middle - 10, y + 43]),
    }
  if (gender === 'female') return { kind: 'socket', d: stroke([middle - 5, base - 23], [middle + 5, base - 23]) }
  if (gender === 'male')
    return {
      kind: 'pin',
      d: outline(
        [middle - 7, base - 13],
        [middle - 7, base - 27],
        [middle, base - 33],
        [middle + 7, base - 27],
        [middle + 7, base - 13],
      ),
    }
  return { kind: 'plain', d: '' }
}

/** The frame, ringed below the plug: earth’s sign beside its name. */
function frameSign(name: string, x: number, y: number): PlugDrawing['frame'] {
  const slants = [18, 28, 38, 48].map((by) => stroke([x + by, y + 12], [x + by - 8, y + 22])).join('')
  return { x, y, d: stroke([x + 12, y + 12], [x + 52, y + 12]) + slants, label: fitted(name, 66, labelSize) }
}

function joined([a, b]: (Point | undefined)[], frame: { x: number; y: number } | undefined): string {
  if (a && b) return stroke([a[0], a[1] + 6], [a[0], a[1] + 15], [b[0], a[1] + 15], [b[0], b[1] + 6])
  const one = a ?? b
  return one && frame ? stroke([one[0], one[1] + 6], [one[0], frame.y - 4], [frame.x, frame.y - 4]) : ''
}

/** What keeps it from being put in the wrong way: out of the shell, into it, or a flat side. */
function keyOf({ kind, side }: HeldPlug['key'], box: PlugDrawing['box']): PlugDrawing['key'] {
  if (kind === 'none') return undefined
  const isAcross = side === 'top' || side === 'bottom'
  const length = isAcross ? box.width : box.height
  const size = kind === 'flat' ? length * 0.72 : kind === 'latch' ? 44 : 30
  const depth = kind === 'notch' ? -11 : kind === 'flat' ? 0 : 10
  const base = { top: box.y, bottom: box.y + box.height, left: box.x, right: box.x + box.width }[side]
  const out = base + (side === 'top' || side === 'left' ? -depth : depth)
  const start = (isAcross ? box.x : box.y) + (length - size) / 2
  const end = start + size
  const points: Point[] = [
    [start, base],
    [start, out],
    [end, out],
    [end, base],
  ]
  const placed = points.map(([along, off]): Point => (isAcross ? [along, off] : [off, along]))
  const [first = [0, 0], , , last = [0, 0]] = placed
  return { kind, d: stroke(...placed), gap: stroke(first, last) }
}
