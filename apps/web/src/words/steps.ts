import type { Card, Check, Step } from '@sure-spool/core'
import type { Figures } from './figures'
import { plusOn } from './plusOn'
import { checkLabel, placeLabel } from './points'

const plain: Record<Exclude<Step['kind'], 'reading' | 'answer' | 'look'>, string> = {
  isolate: 'make safe, isolate',
  temperature: 'temperature',
  leads: 'zero the leads',
  'frame-proof': 'prove the frame',
  supply: 'volts while it is on',
  finding: 'finding, decide',
}

const samePair = ({ at }: Check, { at: other }: Check): boolean =>
  'pair' in at && 'pair' in other && [...at.pair].sort().join() === [...other.pair].sort().join()

/** A step's short name, as it stands on the path. */
export function stepLabel(card: Card, step: Step, figures: Figures): string {
  if (step.kind === 'look') return step.place
  if (step.kind === 'answer') return checkLabel(card, step.check)
  if (step.kind !== 'reading') return plain[step.kind]
  const check = card.checks.find((one) => one.id === step.check)
  const place = placeLabel(card, step.check, step.point, figures)
  const isBent = (one: Check | undefined) => one?.conditions?.state?.includes('flexed') ?? false
  const alike = (one: Check) =>
    check !== undefined &&
    (one.kind === check.kind || check.kind !== 'resistance') &&
    isBent(one) === isBent(check) &&
    samePair(one, check)
  // two checks of one pair are told apart by what they are of; its ohms keep the name of its wires
  if (card.checks.some((one) => one.id !== step.check && alike(one))) return checkLabel(card, step.check)
  if (step.point.drive) {
    const plus = plusOn(card, step.point)
    return `${place}, driven${plus === '' ? '' : `, plus on ${plus}`}`
  }
  return isBent(check) && step.point.pair ? `${place}, bent` : place
}

/** At most so many are said by name. */
const most = 3

/** What was left open behind the hand, in the path's names: `Left out so far: the part; orange–grey and 2 more.`; empty where nothing was. */
export function leftOutWords(card: Card, steps: readonly Step[], figures: Figures): string {
  if (steps.length === 0) return ''
  const names = steps.map((step) => stepLabel(card, step, figures))
  const [said, more] = [names.slice(0, most).join('; '), names.length - most]
  return `Left out so far: ${said}${more > 0 ? ` and ${more} more` : ''}.`
}
