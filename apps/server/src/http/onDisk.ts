import type { Request } from 'express'
import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ProblemError } from './problem'

const mostBytes = 8e9

/**
 * Puts a request's body on the disk, readable by nobody else, while something is done with it, and takes it away afterwards: a body of
 * any size in little memory.
 * @throws ProblemError 413 where it is larger than any shop; 400 where it broke off
 */
export async function onDisk<T>(request: Request, act: (file: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'sure-spool-'))
  const file = join(folder, 'body')
  try {
    await pipeline(request, counted(), createWriteStream(file, { mode: 0o600 })).catch((error: unknown) => {
      if (error instanceof ProblemError) throw error
      throw new ProblemError(400, 'cut-off', 'Nothing was kept: the file broke off on its way. Send it again.')
    })
    return await act(file)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

function counted(): Transform {
  let bytes = 0
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length
      if (bytes > mostBytes)
        done(new ProblemError(413, 'too-large', 'Nothing was kept: the file is larger than any shop.'))
      else done(null, chunk)
    },
  })
}
