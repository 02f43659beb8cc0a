import type { Run } from '../document'
import { withAsked } from './withAsked'
import { withBlades } from './withBlades'
import { withUnitLimits } from './withUnitLimits'

/**
 * A run on its card as it stands for this unit: with the limits of its own, its points as they are counted where nobody named them, and with what was asked besides.
 * The run itself where neither is so.
 * @example
 * asThisUnit(scenes.low().run) === scenes.low().run // false
 */
export const asThisUnit = (run: Run): Run => withAsked(withBlades(withUnitLimits(run)))
