const longest = 4000

/** Waits until something is so, and gives up before the test's own time does. */
export async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  const end = Date.now() + longest
  while (!(await isSo())) {
    if (Date.now() > end) throw new Error(`It never came about: ${isSo.toString()}`)
    await new Promise((resolve) => setTimeout(resolve, 5))
  }
}

/** Lets everything that is on its way arrive. */
export const arrived = (ms = 30): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))
