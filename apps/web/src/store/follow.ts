import type { Problem } from '@sure-spool/contract'
import { Away, Refused, request, type Sent } from './api'

/** How long work is followed: told how far it is, and called off. */
export interface Followed {
  told: (done: number, of: number) => void
  signal: AbortSignal
}

type Line<T> = { done: number; of: number } | { result: T } | { problem: Problem }

/**
 * Asks for work that takes long and follows it to its end, line by line.
 * @returns its result
 * @throws Away where the connection broke off before the end: nothing was kept; Refused as the server words it
 */
export async function follow<T>(path: string, init: Sent, { told, signal }: Followed): Promise<T> {
  const response = await request(path, init, { signal, headers: { Accept: 'application/x-ndjson' } })
  for await (const line of linesOf<Line<T>>(response)) {
    if ('result' in line) return line.result
    if ('problem' in line) throw new Refused(line.problem.status, line.problem)
    told(line.done, line.of)
  }
  throw new Away('The connection broke off before it was done.')
}

async function* linesOf<L>(response: Response): AsyncGenerator<L> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { value, done } = (await reader?.read().catch(away)) ?? { value: undefined, done: true }
    if (done) return
    const lines = (rest + value).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) if (line !== '') yield JSON.parse(line) as L
  }
}

const away = (error: unknown): never => {
  throw new Away(error instanceof Error ? error.message : String(error))
}
