import type { Chance } from './chance'
import type { Surroundings } from './network'
import { ohmsBetween } from './network'
import type { SimulatedPart } from './part'
import { show, type Sample, type SimulatedMeter } from './meter'

/** How the probes lie on the terminals. */
export interface Contact {
  /** ohms the two contacts add once they are pressed home, and how much worse they begin */
  ohms: number
  beginsAt: number
  /** the share of samples in which a poor one lets go altogether */
  bounce: number
}

export const goodContact: Contact = { ohms: 0.01, beginsAt: 0.6, bounce: 0 }
const pressSeconds = 0.4

export interface Hold extends Surroundings {
  at: [string, string]
  meter: SimulatedMeter
  contact?: Contact
  seconds: number
  /** samples a second */
  rate?: number
  /** the full scale set by hand */
  range?: number
}

/**
 * Ohms while two probes are held on a part: time-stepped samples as a meter on a wire would send them.
 * @param chance fixes every figure
 * @example
 * hold(partOf(twinCard()), { at: ['O', 'G'], celsius: 20, meter: meterOf(pocketMeter, chanceFrom(7)), seconds: 2 }, chanceFrom(7)).length
 * // 8
 */
export function hold(part: SimulatedPart, question: Hold, chance: Chance): Sample[] {
  const { at, meter, contact = goodContact, seconds, rate = 4, range, celsius } = question
  const count = Math.floor(seconds * rate)
  return Array.from({ length: count }, (_, step) => {
    const t = step / rate
    const flexed = question.flexed === true && step % 3 !== 0
    const own = ohmsBetween(part, at, { celsius, flexed })
    const lost = contact.bounce > 0 && chance.uniform() < contact.bounce
    const touch = contact.ohms + (contact.beginsAt - contact.ohms) * Math.exp(-t / pressSeconds)
    const setting = { t, step, chance, ...(range === undefined ? {} : { set: range }) }
    return show(meter, 'resistance', lost ? Infinity : own + touch, setting)
  })
}
