import type { Quantity } from '../document'

/** What the display should show at the next reading, before it is taken, and what says so. SI units, °C. */
export interface Forecast {
  quantity: Quantity
  /**
   * `own`: what this pair itself read while it was isolated otherwise, or with the part at another temperature; `parts`: what this unit's windings read, through the network; `whole`: a sum's whole less its other parts; `card`: the card's figure at
   * the part's temperature; `speed`: volts in proportion to the speed; `volts`: volts over the ohms read
   */
  from: 'own' | 'parts' | 'whole' | 'card' | 'speed' | 'volts'
  /** no path leads there: it should read over range */
  open?: true
  value?: number
  /** the card's limits as the display should show them */
  low?: number
  high?: number
  /** what it read bare, ohms */
  bare?: number
  /** the card’s figure is only a guess */
  guessed?: true
  /** what stands in parallel, ohms: the display shows both together */
  parallel?: number
  /** what the leads add to it, ohms */
  leads?: number
  /** the part's temperature that the figure was moved to */
  partC?: number
  /** the speed it was scaled to */
  rpm?: number
  volts?: number
  ohms?: number
  /** a lamp in series: its share of its rated power */
  lampShare?: number
  /** what of the volts the coil keeps beside it */
  coilVolts?: number
}
