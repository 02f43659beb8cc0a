let pen: CanvasRenderingContext2D | null | undefined

/** How wide a text is, px; about, where there is nothing to measure with. */
export function textWidth(text: string, size: number, family = 'Commissioner', weight = 400): number {
  if (pen === undefined)
    pen = typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d')
  if (!pen) return text.length * size * 0.56
  pen.font = `${weight} ${size}px ${family}`
  return pen.measureText(text).width
}

/** A text cut to the room it has, px, with what was cut said by its last sign. */
export function fitted(text: string, room: number, size: number, family?: string, weight?: number): string {
  if (textWidth(text, size, family, weight) <= room) return text
  let kept = text
  while (kept.length > 1 && textWidth(`${kept}…`, size, family, weight) > room) kept = kept.slice(0, -1)
  return `${kept.trimEnd()}…`
}
