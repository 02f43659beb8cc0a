import { ref } from 'vue'

/** Which build of the program this page is, and how a newer one takes over: between runs, never while somebody works. */

/** The name of the lock that a tab holds, shared, while somebody works in it. */
const atWork = 'spool-at-work'

/** A newer version is here. */
export const newer = ref(false)

let own: string | undefined
let lookAgain: (() => Promise<unknown>) | undefined
let takes: (() => Promise<void>) | undefined
let reloads = false
let leaveWork: (() => void) | undefined
/** when this tab's own hold on the lock is gone */
let left: Promise<unknown> | undefined

/**
 * Hears which build the server serves. The first that is heard is taken for this page's own; where the browser keeps the program, it looks
 * for the newer one itself.
 */
export function hearBuild(build: string | null): void {
  if (build === null) return
  const before = (own ??= build)
  if (build === before) return
  own = build
  if (!lookAgain) newer.value = true
  // what could not be looked for is heard of again with the next answer
  else void lookAgain().catch(() => (own = before))
}

/**
 * The browser keeps the program.
 * @param look asks whether there is a newer one
 */
export const keptByBrowser = (look: () => Promise<unknown>): void => void (lookAgain = look)

/**
 * A newer version is kept and waits.
 * @param take lets it take over and loads this page anew
 */
export function newerIsHere(take: () => Promise<void>): void {
  takes = take
  newer.value = true
}

/** The newer version has taken over, at once or minutes after it was told to: the page is loaded anew when nobody works in it. */
export function tookOver(): void {
  if (leaveWork) reloads = true
  else location.reload()
}

/** Says whether somebody works in this tab, for the others. */
export function workHere(working: boolean): void {
  if (!working) {
    leaveWork?.()
    leaveWork = undefined
    if (reloads) location.reload()
  } else if (!leaveWork) {
    const works = new Promise<void>((resolve) => (leaveWork = resolve))
    left = locks()?.request(atWork, { mode: 'shared' }, () => works)
  }
}

/**
 * Lets the newer version take over and loads this page anew.
 * @returns false where somebody works in another tab, which would be loaded anew with it
 */
export async function takeOver(): Promise<boolean> {
  if (!takes) location.reload()
  else {
    if (!leaveWork) await left
    const { held = [] } = (await locks()?.query()) ?? {}
    if (held.some(({ name }) => name === atWork)) return false
    await takes()
  }
  return true
}

/** None on a page that came over a network without TLS. */
const locks = (): LockManager | undefined => ('locks' in navigator ? navigator.locks : undefined)
