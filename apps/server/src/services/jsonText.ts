/** Rows of a list that is read a page at a time, each page from behind the last row of the one before. */
export async function* inPages<Row>(page: (after: Row | undefined) => Promise<Row[]>): AsyncGenerator<Row> {
  for (let after: Row | undefined; ;) {
    const rows = await page(after)
    yield* rows
    after = rows.at(-1)
    if (after === undefined) return
  }
}

/** The JSON text of a list, a row at a time. */
export async function* jsonList(rows: AsyncIterable<unknown>): AsyncGenerator<string> {
  let first = true
  yield '['
  for await (const row of rows) {
    yield `${first ? '' : ','}${JSON.stringify(row)}`
    first = false
  }
  yield ']'
}
