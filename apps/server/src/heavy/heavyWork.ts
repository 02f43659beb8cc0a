import { Worker } from 'node:worker_threads'
import { here } from '../here'
import { ProblemError } from '../http/problem'
import type { FromWorker, HeavyInputs, HeavyJob, ToWorker } from './messages'

/** How a caller follows a job: told how far it is, and able to call it off. */
export interface Followed {
  told?: (done: number, of: number) => void
  signal?: AbortSignal
}

interface Waiting extends Followed {
  worker: Worker
  done: (result: string) => void
  failed: (error: Error) => void
}

const lost = () =>
  new ProblemError(503, 'stopped', 'Nothing was kept: the server stopped in the middle of it. Take it in again.')

/**
 * Work that would hold up every other request (imports, previews of large files), done in a thread of its own with database
 * connections of its own. The thread is started for the first job and stays; one that dies takes its jobs' transactions with it, is
 * told to whoever waits, and the next job starts another.
 */
export class HeavyWork {
  private worker: Worker | undefined
  private readonly waiting = new Map<number, Waiting>()
  private last = 0

  constructor(private readonly databaseUrl: string) {}

  /**
   * Does a job in the thread.
   * @param input its bytes are handed over: they are not to be used afterwards
   * @returns the result as JSON text
   * @throws ProblemError as the job words it; 503 where the thread died
   */
  run<J extends HeavyJob>(job: J, input: HeavyInputs[J], { told, signal }: Followed = {}): Promise<string> {
    const id = ++this.last
    const worker = (this.worker ??= this.start())
    return new Promise<string>((done, failed) => {
      this.waiting.set(id, { worker, done, failed, ...(told ? { told } : {}) })
      signal?.addEventListener('abort', () => worker.postMessage({ id, callOff: true } satisfies ToWorker), {
        once: true,
      })
      const message = { id, job, input, from: here() } as ToWorker
      worker.postMessage(message, 'bytes' in input ? [input.bytes.buffer as ArrayBuffer] : [])
    }).finally(() => this.waiting.delete(id))
  }

  /** Ends the thread; what it was doing is rolled back by the database. */
  async close(): Promise<void> {
    const { worker } = this
    this.worker = undefined
    await worker?.terminate()
  }

  private start(): Worker {
    const worker = startWorker({ databaseUrl: this.databaseUrl })
    worker.on('message', (message: FromWorker) => this.hear(message))
    worker.on('error', () => this.gone(worker))
    worker.on('exit', () => this.gone(worker))
    worker.unref()
    return worker
  }

  private hear(message: FromWorker): void {
    const one = this.waiting.get(message.id)
    if (!one) return
    if ('result' in message) one.done(message.result)
    else if ('done' in message) one.told?.(message.done, message.of)
    else {
      const { status, kind, detail, errors } = message.problem
      const error = new ProblemError(status, kind, detail, errors)
      if (message.stack !== undefined) error.stack = message.stack
      one.failed(error)
    }
  }

  private gone(worker: Worker): void {
    if (this.worker === worker) this.worker = undefined
    for (const one of this.waiting.values()) if (one.worker === worker) one.failed(lost())
  }
}

/** A worker starts without TypeScript: from sources tsx is registered in it first, the built server has it beside itself. */
const fromSources = `const { workerData } = require('node:worker_threads')
import('tsx/esm/api').then(({ register }) => (register(), import(workerData.file)))`

function startWorker(data: { databaseUrl: string }): Worker {
  if (!import.meta.url.endsWith('.ts'))
    return new Worker(new URL('./heavyWork.worker.js', import.meta.url), { workerData: data })
  const file = new URL('./heavyWork.worker.ts', import.meta.url).href
  return new Worker(fromSources, { eval: true, execArgv: [], workerData: { ...data, file } })
}
