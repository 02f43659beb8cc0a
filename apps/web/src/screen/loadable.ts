import { screen } from './lazyScreen'

/** What work at the bench needs and the first screen does not carry. */
export const benchScreen = screen(() => import('../bench/BenchScreen.vue'))
export const sheetScreen = screen(() => import('../sheet/SheetScreen.vue'))
export const loadTakeIn = screen(() => import('../queue/TakeIn.vue'))

/**
 * Loads what work at the bench needs, so that a part can be taken in and begun when the server is gone before anything was opened.
 * @returns whether it is there now
 */
export const loadBench = (): Promise<boolean> =>
  Promise.all([benchScreen(), sheetScreen(), loadTakeIn()]).then(
    () => true,
    () => false,
  )
