import { nextEntry, runState, type EntryBody, type Firing, type Run, type RunState } from '@sure-spool/core'
import type { Ref } from 'vue'

/** The id of an entry that is not kept yet. */
export const notKept = 'not-kept'

/** The state of a run as if an entry were on its tape: what is being typed, judged before it is kept. */
export function runOneLonger(run: Run, state: RunState | undefined, body: EntryBody): RunState {
  const entry = nextEntry(run, body, { id: notKept, at: new Date().toISOString(), by: '' })
  return runState({ ...run, entries: [...run.entries, entry] }, state)
}

/** What a colleague would say to an entry before it is kept: the remarks that it would bring, and that do not stand without it. */
export const wouldSay =
  (run: Ref<Run | undefined>, state: Ref<RunState | undefined>) =>
  (body: EntryBody): Firing[] => {
    const [now, before] = [run.value, state.value]
    if (!now || !before) return []
    const known = new Set(before.remarks.map(({ id }) => id))
    return runOneLonger(now, before, body).remarks.filter(({ id, answered }) => !answered && !known.has(id))
  }
