import {
  display,
  goodContact,
  hold,
  type Chance,
  type Contact,
  type SimulatedMeter,
  type SimulatedPart,
} from '../simulate'
import type { Card } from '../document'
import type { Step } from '../plan'
import type { Script } from './script'

export interface Bench {
  part: SimulatedPart
  meter: SimulatedMeter
  chance: Chance
  /** the part and the room, °C */
  celsius: number
  /** the share of touches that are poor */
  poor?: number
}

const poorContact: Contact = { ohms: 14, beginsAt: 30, bounce: 0 }
const mostRetakes = 2

/**
 * Works a run through as a careful technician does, on a simulated part: makes it safe, zeroes, reads every step of the path
 * with a meter that settles, takes again what wants it. Steps that cannot be done here are skipped with a reason.
 */
export function workThrough(script: Script, bench: Bench): Script {
  const { meter } = bench
  for (const { step, status } of script.state().steps)
    if (step.kind === 'look' && status === 'to-do')
      script.put({ kind: 'look', place: step.place, what: ['sound'], ...(step.check ? { check: step.check } : {}) })
  script
    .put({ kind: 'isolation', state: 'loose' })
    .put({ kind: 'temperature', part: 'measured', partC: bench.celsius, uPartC: 0.6, roomC: bench.celsius })
  zero(script, meter)
  const framed = script.state().steps.some(({ step }) => step.kind === 'frame-proof')
  if (framed) script.put({ kind: 'proof', of: 'same-metal', terminal: 'frame', text: '0.1' })
  return readPath(script, bench)
}

/** Whether a card is one he can decide: every required check in ohms, every winding's figure known, limits for any unit. */
export const decidedByOhms = (card: Card): boolean =>
  card.checks.every(
    ({ kind, required, where }) =>
      !required || where === 'machine' || ['look', 'resistance', 'continuity'].includes(kind),
  ) &&
  card.windings.every(({ ohms }) => ohms !== undefined) &&
  card.checks.some((check) => check.limits.some((limit) => limit.for === 'any'))

/** Reads what is to be read of the path: all of it at first, after work on the part only what that touched. */
export function readPath(script: Script, bench: Bench): Script {
  for (const { step, status } of script.state().steps) if (status === 'to-do') take(script, bench, step)
  for (let retakes = 0; retakes < 3 * mostRetakes; retakes++) {
    const { finding, steps } = script.state()
    const open = finding.open.find(
      (one) => one.entry !== undefined && (one.why === 'take-again' || one.why === 'clip-on'),
    )
    const again = open && steps.find((one) => one.entry === open.entry)
    if (again?.step.kind !== 'reading') break
    touch(script, bench, again.step, true, again.entry)
  }
  return script
}

function zero(script: Script, meter: SimulatedMeter): void {
  if (meter.instrument.fourWire) return
  const ohms = Math.round((meter.leadOhms - meter.zeroed) * 100) / 100
  script.put({
    kind: 'lead-check',
    instrument: meter.instrument.id,
    text: ohms.toFixed(2),
    ohms: 0,
    u: 0.018,
    how: 'hardware',
  })
  meter.zeroed = meter.leadOhms
}

function take(script: Script, bench: Bench, step: Step): void {
  if (step.kind !== 'reading') return
  const check = script.run.card.checks.find((one) => one.id === step.check)
  if (!check || (check.kind !== 'resistance' && check.kind !== 'continuity')) {
    if (check) script.put({ kind: 'skip', check: check.id, reason: 'cannot be done on this bench' })
    return
  }
  if (!step.point.pair) return
  touch(script, bench, step, false)
  for (let retakes = 0; retakes < mostRetakes; retakes++) {
    const state = script.state()
    const again = state.steps.find((one) => one.step.id === step.id)
    if (again?.status !== 'again' && again?.status !== 'held') return
    const likely = state.steps.find(
      (one) => one.entry !== undefined && one.entry === state.holding?.params['likelyEntry'],
    )
    if (likely?.step.kind === 'reading') touch(script, bench, likely.step, true, likely.entry)
    else if (state.holding?.entry === undefined || state.holding.entry === again.entry)
      touch(script, bench, step, true, again.entry)
    else return
  }
  const { holding } = script.state()
  if (holding) script.put({ kind: 'answer', remark: holding.id, reason: 'the meter shows it so, read again' })
}

function touch(
  script: Script,
  { part, meter, chance, celsius, poor = 0 }: Bench,
  step: Extract<Step, { kind: 'reading' }>,
  again: boolean,
  supersedes?: string,
): void {
  const bent =
    script.run.card.checks.find((one) => one.id === step.check)?.conditions?.state?.includes('flexed') === true
  const contact = !again && chance.uniform() < poor ? poorContact : goodContact
  const { pair } = step.point
  if (!pair) return
  const samples = hold(part, { at: pair, meter, contact, seconds: 4, celsius, flexed: bent }, chance)
  const { text, drops } = display(meter, 'resistance', samples)
  script.read(step.check, text, {
    pair,
    instrument: meter.instrument.id,
    contact: again ? 'clips' : 'tips',
    ...(bent ? { conditions: { state: ['flexed'] } } : {}),
    ...(bent && drops > 0 ? { drops } : {}),
    ...(supersedes === undefined ? {} : { supersedes, reason: 'taken again, clipped on' }),
  })
}
