import { setImmediate as breathe } from 'node:timers/promises'
import { parentPort, workerData } from 'node:worker_threads'
import { isNativeError } from 'node:util/types'
import { openDatabase, type Database } from '../database/connect'
import { servedFrom } from '../here'
import { problemOf } from '../http/errors'
import { jobs } from './jobs'
import type { FromWorker, ToWorker } from './messages'
import { CalledOff, type Watched } from './watched'

/** The other end of `HeavyWork`: one job after another, on connections of its own. */
const port = parentPort
if (!port) throw new Error('This file is started as a worker.')
const { database } = openDatabase(String((workerData as { databaseUrl: unknown }).databaseUrl), 2)
const calledOff = new Set<number>()
const tell = (message: FromWorker) => port.postMessage(message)

port.on('message', (message: ToWorker) => {
  if ('callOff' in message) calledOff.add(message.id)
  else void work(message).finally(() => calledOff.delete(message.id))
})

async function work(message: Exclude<ToWorker, { callOff: true }>): Promise<void> {
  const { id, job, input, from } = message
  const watched: Watched = async (done, of) => {
    tell({ id, done, of })
    await breathe()
    if (calledOff.has(id)) throw new CalledOff()
  }
  try {
    // a message pairs a job with its own input; the table cannot say so for one that is looked up
    const run = jobs[job] as (on: Database, input: unknown, watched: Watched) => Promise<unknown>
    const done = () => run(database, input, watched)
    tell({ id, result: JSON.stringify(await (from ? servedFrom(from, done) : done())) })
  } catch (error) {
    const { status, kind, detail, errors } = problemOf(error)
    const stack = status === 500 && isNativeError(error) ? error.stack : undefined
    tell({ id, problem: { status, kind, detail, errors }, ...(stack === undefined ? {} : { stack }) })
  }
}
