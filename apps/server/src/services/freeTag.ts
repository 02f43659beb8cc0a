import type { Queries } from '../database/connect'
import { lastReserved } from '../repositories/tagBlocks'
import { lastTagNumber, tagTaken } from '../repositories/units'

/** So many numbers are tried behind the last one before a tag gets one more sign. */
const mostTried = 50

/**
 * The tag itself where no other unit has it, else the next of its kind: a counted tag the number behind the last one and behind those that
 * benches have of their own, any other a number of its own.
 * @example
 * ```ts
 * await freeTag(queries, 'SQ-0450') // 'SQ-0451' where SQ-0450 is on another unit and SQ-0451 on none
 * ```
 */
export async function freeTag(queries: Queries, tag: string): Promise<string> {
  if (!(await tagTaken(queries, tag))) return tag
  const [, stem = '', digits] = /^(.*?)(\d{1,9})$/su.exec(tag) ?? []
  const last = async () => Math.max(await lastTagNumber(queries, stem), await lastReserved(queries, stem))
  const from = digits === undefined ? 2 : Math.max(await last(), Number(digits)) + 1
  for (let number = from; number < from + mostTried; number++) {
    const counted = `${stem}${String(number).padStart(digits?.length ?? 0, '0')}`
    const next = digits === undefined || counted.length > longest ? withNumber(tag, number) : counted
    if (!(await tagTaken(queries, next))) return next
  }
  return freeTag(queries, withNumber(tag, 2))
}

const longest = 200
/** Whole signs are cut off a tag that leaves no room for the number. */
const withNumber = (tag: string, number: number): string => `${[...tag].slice(0, longest - 12).join('')}-${number}`
