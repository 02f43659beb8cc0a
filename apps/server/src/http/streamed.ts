import type { Request, RequestHandler, Response } from 'express'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Followed } from '../heavy/heavyWork'
import { problemBody, problemOf } from './errors'
import { ProblemError } from './problem'

const pieceSize = 64_000

/** Pieces of text joined to pieces of about 64 kB: one write each, and the connection says when it wants more. */
async function* joined(pieces: AsyncIterable<string>): AsyncGenerator<string> {
  let text = ''
  for await (const piece of pieces) {
    text += piece
    if (text.length < pieceSize) continue
    yield text
    text = ''
  }
  yield text
}

/** Sends what is made a piece at a time, in little memory. A failure in the middle ends the connection: what came is cut off, and says so. */
export async function sendPieces(response: Response, pieces: AsyncIterable<string>): Promise<void> {
  await pipeline(Readable.from(joined(pieces)), response)
}

/** A body as it came, for a reader in another thread; express.raw has read it. @throws ProblemError 415 for another content type */
export function bytesOf(request: Request): Uint8Array {
  const { body } = request as { body: unknown }
  if (!Buffer.isBuffer(body))
    throw new ProblemError(
      415,
      'not-json',
      `Nothing was kept: ${request.headers['content-type'] ?? 'no type'} is not taken here.`,
    )
  // a small body shares its memory with others: what is handed to another thread must be its own
  return new Uint8Array(body)
}

/**
 * A route whose work takes long. Asked for `application/x-ndjson` it answers with a line `{ done, of }` whenever there is progress and
 * a last line `{ result }` or `{ problem }`; else with the result alone. Whoever goes away calls the work off.
 */
export function follows(work: (request: Request, followed: Followed) => Promise<string>): RequestHandler {
  return (request, response, next) => {
    const lines = request.accepts(['application/json', 'application/x-ndjson']) === 'application/x-ndjson'
    const controller = new AbortController()
    response.on('close', () => response.writableFinished || controller.abort())
    const told = (done: number, of: number) => response.write(`${JSON.stringify({ done, of })}\n`)
    if (lines) response.type('application/x-ndjson')
    const begin = async () => work(request, { signal: controller.signal, ...(lines ? { told } : {}) })
    begin().then(
      (result) => {
        if (lines) response.end(`{"result":${result}}\n`)
        else response.type('application/json').send(result)
      },
      (error: unknown) => {
        if (!lines || !response.headersSent) {
          next(error)
          return
        }
        const problem = problemOf(error)
        if (problem.status >= 500) request.log?.error({ err: error }, problem.detail)
        response.end(`${JSON.stringify({ problem: problemBody(problem, request) })}\n`)
      },
    )
  }
}
