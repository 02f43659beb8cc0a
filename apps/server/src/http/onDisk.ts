import type { Request } from 'express'
import { createWriteStream } from 'node:fs'
import { mkdtemp, readdir, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Transform } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { ProblemError } from './problem'

const mostBytes = 8e9
const named = 'sure-spool-body-'

/** What a server that was killed in the middle left on the disk: bodies whose process is no more. */
export async function sweepBodies(): Promise<void> {
  for (const name of await readdir(tmpdir())) {
    const pid = new RegExp(`^${named}(\\d+)-`).exec(name)?.[1]
    if (pid !== undefined && !isAlive(Number(pid))) await rm(join(tmpdir(), name), { recursive: true, force: true })
  }
}

function isAlive(pid: number): boolean {
  try {
    return process.kill(pid, 0)
  } catch (error) {
    // somebody else's process is one all the same
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Why a body did not reach the disk, for whoever sent it. */
export function whyNotOnDisk(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error
  return (error as NodeJS.ErrnoException | null)?.code === 'ENOSPC'
    ? new ProblemError(
        507,
        'no-room',
        'Nothing was kept: the disk of the server is full. Make room, then send it again.',
      )
    : new ProblemError(400, 'cut-off', 'Nothing was kept: the file broke off on its way. Send it again.')
}

/**
 * Puts a request's body on the disk, readable by nobody else, while something is done with it, and takes it away afterwards: a body of
 * any size in little memory.
 * @throws ProblemError 413 where it is larger than any shop; 400 where it broke off; 507 where the disk is full
 */
export async function onDisk<T>(request: Request, act: (file: string) => Promise<T>): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), `${named}${process.pid}-`))
  const file = join(folder, 'body')
  try {
    await pipeline(request, counted(), createWriteStream(file, { mode: 0o600 })).catch((error: unknown) => {
      throw whyNotOnDisk(error)
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
