import { setImmediate as breathe } from 'node:timers/promises'
import { openDatabase, type Connection } from '../../apps/server/src/database/connect'
import type { Followed } from '../../apps/server/src/heavy/heavyWork'
import { jobs } from '../../apps/server/src/heavy/jobs'
import type { HeavyInputs, HeavyJob } from '../../apps/server/src/heavy/messages'
import { problemOf } from '../../apps/server/src/http/errors'
import { ProblemError } from '../../apps/server/src/http/problem'
import { CalledOff, type Watched } from '../../apps/server/src/heavy/watched'

/** Stands in for the thread of heavy work: a fault that is planted in one thread is not there in another. */
export class HeavyWork {
  #opened: Connection | undefined

  constructor(private readonly databaseUrl: string) {}

  async run<J extends HeavyJob>(job: J, input: HeavyInputs[J], { told, signal }: Followed = {}): Promise<string> {
    const { database } = (this.#opened ??= openDatabase(this.databaseUrl, 2))
    const watched: Watched = async (done, of) => {
      told?.(done, of)
      await breathe()
      if (signal?.aborted) throw new CalledOff()
    }
    try {
      return JSON.stringify(await jobs[job](database, input, watched))
    } catch (error) {
      const { status, kind, detail, errors } = problemOf(error)
      throw new ProblemError(status, kind, detail, errors)
    }
  }

  async close(): Promise<void> {
    await this.#opened?.close()
  }
}
