import { readFileSync } from 'node:fs'
import { runSchema, readDocument } from '@sure-spool/contract'
import { isClosed, refusalOf, runState, summarise, type Run } from '@sure-spool/core'

const codes = { 'no-fault-found': 0, 'fault-found': 1, undecided: 2 } as const
const badFile = 3

/** Judges a run file with the same core as the app: verdicts as JSON, the finding as exit code; a bad file is told with its path. */
function judge(file: string | undefined): number {
  if (file === undefined) return refuse('Say which run file to judge: npm run --silent judge -- FILE')
  let text: string
  try {
    text = readFileSync(file, 'utf8')
  } catch (error) {
    return refuse(`${file}: cannot be read: ${error instanceof Error ? error.message : String(error)}`)
  }
  const read = readDocument(text, runSchema)
  if (!read.ok) return refuse(...read.problems.map(({ path, detail }) => `${file}: ${path} ${detail}`))
  const run = read.value as Run
  const torn = firstRefusal(run)
  if (torn !== null) return refuse(`${file}: ${torn}`)
  const summary = summarise(runState(run))
  process.stdout.write(`${JSON.stringify(summary, null, 2)}\n`)
  return codes[summary.finding]
}

/** A file is held to what the server would have kept, entry by entry in tape order. */
function firstRefusal(run: Run): string | null {
  const order = run.entries.map((entry, i) => ({ entry, i })).sort((a, b) => a.entry.n - b.entry.n)
  let tape: Run = { ...run, entries: [] }
  for (const { entry, i } of order) {
    const refusal = refusalOf(tape, isClosed(tape), entry)
    if (refusal) return `entries[${i}].${refusal.field} ${refusal.sentence}`
    tape = { ...tape, entries: [...tape.entries, entry] }
  }
  return null
}

function refuse(...sentences: string[]): number {
  for (const sentence of sentences) process.stderr.write(`${sentence}\n`)
  return badFile
}

process.exitCode = judge(process.argv[2])
