import { shallowReactive, shallowRef } from 'vue'
import { isTaken } from './isTaken'
import { isThere, type KeyStatement } from './statement'

/** A screen's keys while it is there: what they do, and the situation it is in. */
export interface StandingKeys {
  statement: KeyStatement
  situation: () => string
  acts: Record<string, (key: string) => unknown>
  /** takes what no act takes while the situation is one of typing */
  type?: (key: string) => void
}

/** After a screen has changed, the key that was pressed for the last one does nothing on the new one for so long, milliseconds. */
const settleMs = 300

/** Everywhere first, then the screen, then what lies over it: the last one that has a key gets it. */
const standing = shallowReactive<StandingKeys[]>([])
let generation = 0
let changedAt = -Infinity
/** the key pressed last, and whether that was for the screen before this one */
let last = { key: '', stale: false, at: -Infinity }
const pressedIn = new Map<string, number>()
const settledAt = shallowRef<{ situation: string; at: number }>({ situation: '', at: -Infinity })

/** The keys that stand, for the help. */
export const standingKeys = (): readonly StandingKeys[] => standing

/** Puts a screen's keys in force. @returns takes them out of force */
export function enterKeys(keys: StandingKeys): () => void {
  standing.push(keys)
  return () => void standing.splice(standing.indexOf(keys), 1)
}

/** Another screen, or another step of it, stands there from now on: what is held down from before does nothing on it. */
export function screenChanged(at = performance.now()): void {
  generation++
  changedAt = at
}
/** Another step of the same screen: a key that is held down stops, one that is pressed anew counts. */
export const stepChanged = (): void => void generation++

/** The name of a key as statements write it. */
function nameOf(event: KeyboardEvent): string {
  const { ctrlKey, metaKey, altKey, shiftKey, key } = event
  if (!(ctrlKey || metaKey) || altKey) return letterOf(event)
  return `Ctrl+${shiftKey ? 'Shift+' : ''}${key.length === 1 ? key.toLowerCase() : key}`
}

/** A letter as it is without Caps Lock, which is on by mistake wherever letters are keys and no text. */
function letterOf(event: KeyboardEvent): string {
  const { key } = event
  if (!/^[a-z]$/i.test(key) || !event.getModifierState('CapsLock')) return key
  return key === key.toLowerCase() ? key.toUpperCase() : key.toLowerCase()
}

/** Whether a key was pressed for what stood here before. */
function isStale(event: KeyboardEvent, key: string, now: number): boolean {
  if (event.repeat) return (pressedIn.get(key) ?? generation) !== generation
  pressedIn.set(key, generation)
  const isEarlier = last.stale || last.at <= changedAt
  const stale = key === last.key && isEarlier && now - changedAt < settleMs
  last = { key, stale, at: now }
  return stale
}

/** What belongs to an open line: anything that prints, and what deletes it. */
const isTyped = (key: string): boolean => key.length === 1 || key === 'Backspace'

/** Whether a situation has stood long enough for an act that waits for that. */
function isSettled(situation: string, now: number): boolean {
  if (settledAt.value.situation !== situation) settledAt.value = { situation, at: now }
  return now - settledAt.value.at >= settleMs
}

/**
 * Gives a key to the screen that stands, or to what lies over it.
 * @returns whether it was used; the caller then keeps the browser from using it
 */
export function dispatchKey(event: KeyboardEvent, now = performance.now()): boolean {
  if (event.defaultPrevented || event.isComposing) return false
  const key = nameOf(event)
  const stale = isStale(event, key, now)
  if (document.querySelector('[role="dialog"]')) return false
  const taken = !key.startsWith('Ctrl+') && isTaken(event)
  for (const one of [...standing].reverse()) {
    const situation = one.situation()
    const found = Object.entries(one.statement.acts).find(
      ([, act]) => act.keys.includes(key) && isThere(act, situation),
    )
    if (!found && one.type && !taken && isTyped(key) && one.statement.typing?.includes(situation)) {
      if (!stale) one.type(event.key)
      return true
    }
    if (!found) continue
    const [name, act] = found
    if (taken) return false
    if (stale || (event.repeat && !act.repeats)) return true
    if (act.settles && !isSettled(`${one.statement.screen} ${situation}`, now)) return true
    if (one.acts[name]?.(letterOf(event)) !== false) return true
  }
  return false
}

/** The situation of a screen has begun: acts that wait for it to settle count from here. */
export function situationBegins(screen: string, situation: string, now = performance.now()): void {
  settledAt.value = { situation: `${screen} ${situation}`, at: now }
}
