import type { Cavity, Plug } from '@sure-spool/core'
import { setOptional } from './takeOff'

const isAt = (cavity: Cavity, at: Cavity['at']): boolean => cavity.at.join() === at.join()

/**
 * Puts a terminal into a place of a plug, or empties it with null; where the terminal sat before is empty then. What is stamped at a place
 * stays there, and a terminal that comes in has the contact of the others.
 */
export function putInto(plug: Plug, at: Cavity['at'], terminal: string | null): void {
  const gender = plug.cavities.find((cavity) => cavity.gender)?.gender
  for (const cavity of plug.cavities) {
    const isHere = isAt(cavity, at)
    if (!isHere && (terminal === null || cavity.terminal !== terminal)) continue
    cavity.terminal = isHere ? terminal : null
    setOptional(cavity, 'gender', cavity.terminal === null ? undefined : gender)
  }
}

/** Says what contacts a plug has, of every place that holds a terminal; with nothing it is not said. */
export function setContacts(plug: Plug, gender: Cavity['gender']): void {
  for (const cavity of plug.cavities) setOptional(cavity, 'gender', cavity.terminal === null ? undefined : gender)
}

/** Says what is stamped or counted at a place, as it is typed; blanks alone take it away. */
export function stamp(plug: Plug, at: Cavity['at'], mark: string): void {
  for (const cavity of plug.cavities)
    if (isAt(cavity, at)) setOptional(cavity, 'mark', mark.trim() === '' ? undefined : mark)
}
