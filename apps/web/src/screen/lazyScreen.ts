/** A screen could not be loaded; nothing on it is broken. */
export class ScreenAway extends Error {}

/**
 * A screen that is loaded when it is first opened.
 * @returns the loader for the router; it rejects with ScreenAway, in a sentence, where the file does not come, and asks again
 *   the next time
 */
export const screen =
  <T>(load: () => Promise<T>) =>
  (): Promise<T> =>
    load().catch((cause: unknown) => {
      throw new ScreenAway(
        'That screen could not be loaded: the server is away, or has been renewed since this page was opened.',
        { cause },
      )
    })
