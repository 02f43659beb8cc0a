import { importSchema } from '@sure-spool/contract'
import type { Database } from '../database/connect'
import { parse } from '../http/handle'
import { ProblemError } from '../http/problem'
import { importCards } from '../services/importCards'
import { importRecords, importShop } from '../services/importShop'
import { keepFigures, previewFigures } from '../services/takeFigures'
import type { HeavyInputs, HeavyJob } from './messages'
import { readCards } from './readCards'
import { readShopLines } from './readShopLines'
import type { Watched } from './watched'

type Jobs = { [J in HeavyJob]: (database: Database, input: HeavyInputs[J], watched: Watched) => Promise<unknown> }

/** What is done off the thread that answers requests: reading, validating and writing what is too large to be done between two. */
export const jobs: Jobs = {
  'import-shop': (database, { bytes, by }, watched) =>
    importShop(database, parse(importSchema, jsonOf(bytes)), by, watched),
  'import-shop-lines': async (database, { file, by }, watched) => {
    const { head, records } = await readShopLines(file)
    return importRecords(database, head, records, by, watched)
  },
  'import-cards': (database, { bytes, lines, by }, watched) => {
    const { head, of, cards } = readCards(bytes, lines)
    if (by !== null && head.by !== by)
      throw new ProblemError(403, 'not-theirs', 'Nothing was kept: by names somebody else than who sits at this bench.')
    return importCards(database, head, cards, of, watched)
  },
  'preview-figures': (database, { bytes, by }, watched) => previewFigures(database, bytes, by, watched),
  'keep-figures': (database, { preview, by }, watched) => keepFigures(database, preview, by, watched),
}

function jsonOf(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch {
    throw new ProblemError(
      400,
      'not-json',
      'Nothing was kept: the body is not JSON, it may have been cut off. Send it again.',
    )
  }
}
