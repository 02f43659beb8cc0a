import { listOf, shopHeadSchema, shopRecords, type ShopHead } from '@sure-spool/contract'
import { createReadStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import { parse } from '../http/handle'
import { ProblemError } from '../http/problem'
import type { ShopRecord } from '../services/importShop'

/** A line longer than this is no record of a shop: the longest are runs of a thousand readings and photos. */
const longestLine = 32_000_000
const newline = 0x0a

/** A shop's file that goes line by line: its head, and its records as they are read. */
export interface ShopLines {
  head: ShopHead
  records: AsyncGenerator<ShopRecord>
}

/**
 * Reads a shop's file from the disk, a line at a time, in little memory.
 * @throws ProblemError 400 with the path, as `runs[17].entries[3].at`; for a record, when its turn comes; 413 for a line without an end
 */
export async function readShopLines(file: string): Promise<ShopLines> {
  const { size } = await stat(file)
  const lines = linesIn(file)
  const first = await lines.next()
  if (first.done) throw new ProblemError(400, 'not-valid', 'Nothing was kept: the file is empty.')
  const head = parse(shopHeadSchema, jsonOf(first.value.line, 1))
  return { head, records: recordsIn(lines, size) }
}

async function* recordsIn(lines: AsyncGenerator<Line>, of: number): AsyncGenerator<ShopRecord> {
  const counts: Record<string, number> = {}
  let at = 1
  for await (const { line, read } of lines) {
    at++
    const [[record, value] = ['', undefined], ...more] = Object.entries(Object(jsonOf(line, at)) as object)
    const schema = shopRecords[record as keyof typeof shopRecords] as (typeof shopRecords)['unit'] | undefined
    if (!schema || more.length > 0 || !Object.hasOwn(shopRecords, record))
      throw new ProblemError(
        400,
        'not-valid',
        `Nothing was kept: line ${at} is no record; it has one of ${Object.keys(shopRecords).join(', ')}.`,
      )
    const list = listOf[record as keyof typeof listOf]
    const place = (counts[record] ??= 0)
    counts[record] = place + 1
    const path = `${list}[${place}]`
    yield { record, value: parse(schema, value, { at: path }), path, done: read, of } as ShopRecord
  }
}

interface Line {
  line: string
  /** bytes of the file that are read with it */
  read: number
}

async function* linesIn(file: string): AsyncGenerator<Line> {
  let rest: Buffer[] = []
  let length = 0
  let read = 0
  for await (const chunk of createReadStream(file) as AsyncIterable<Buffer>) {
    let from = 0
    for (let end = chunk.indexOf(newline); end !== -1; end = chunk.indexOf(newline, from)) {
      const line = Buffer.concat([...rest, chunk.subarray(from, end)]).toString('utf8')
      read += length + end - from + 1
      ;[rest, length, from] = [[], 0, end + 1]
      if (line.trim() !== '') yield { line, read }
    }
    rest.push(chunk.subarray(from))
    length += chunk.length - from
    if (length > longestLine)
      throw new ProblemError(413, 'too-large', 'Nothing was kept: a line is longer than a record can be.')
  }
  const last = Buffer.concat(rest).toString('utf8')
  if (last.trim() !== '') yield { line: last, read: read + length }
}

function jsonOf(line: string, at: number): unknown {
  try {
    return JSON.parse(line)
  } catch {
    throw new ProblemError(
      400,
      'not-json',
      `Nothing was kept: line ${at} is not JSON, it may have been cut off. Send it again.`,
    )
  }
}
