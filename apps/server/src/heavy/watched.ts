/**
 * Told by long work how far it is; gives others their turn, and throws `CalledOff` when nobody wants the result any more.
 * @param done of how many
 */
export type Watched = (done: number, of: number) => Promise<void>

/** Nobody waits for the progress of this work. */
export const unwatched: Watched = () => Promise.resolve()

/** The work was called off: what was begun is taken back. */
export class CalledOff extends Error {}
