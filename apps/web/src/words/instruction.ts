import {
  isAsked,
  quantityOf,
  type Card,
  type Instrument,
  type OpenPoint,
  type PreparedCheck,
  type Step,
  type StepState,
} from '@sure-spool/core'
import { capital } from './capital'
import { conditionWords } from './conditions'
import { quantityWords } from './kinds'
import type { Figures } from './figures'
import { placeQuantity } from './points'
import type { Again } from './title'

/**
 * Whether a reading is of the speed that was last said: where the card asks for one, or alternating volts were asked of two points while it
 * runs. The instruction shows it, so that none is kept unseen.
 */
export const takesSpeed = ({ id, kind, conditions }: Pick<PreparedCheck, 'id' | 'kind' | 'conditions'>): boolean =>
  conditions?.rpm !== undefined || (kind === 'ac-output' && isAsked(id))

/**
 * What to do for a reading, besides which points to touch.
 * @param saidRpm the speed that was last said, which the next reading takes
 */
export function readingInstruction(
  card: Card,
  check: PreparedCheck,
  meter: Instrument | undefined,
  figures: Figures,
  saidRpm?: number,
): string {
  const place = placeQuantity(check)
  const quantity = quantityOf(check)
  if (!meter && quantity !== undefined && quantity !== 'position')
    return `No meter of this shop reads ${quantityWords[quantity] ?? quantity}: enter one in Kit, or skip this.`
  const under = conditionWords(card, check.conditions, figures).join(', ')
  return [
    place === 'length'
      ? 'Type the ohms; the length behind an @, as 2.31k @ 0.41, or at the end.'
      : place === undefined
        ? ''
        : check.kind === 'response'
          ? 'Each with its frequency behind an @: 0.55 @ 1 kHz; Down goes on. A hand meter falls off above some hundred hertz.'
          : 'Another place: type it behind an @.',
    check.kind === 'insulation' ? 'Type the volts with the ohms: 500V 2.1G.' : '',
    under === '' ? '' : `${capital(under)}.`,
    !takesSpeed(check)
      ? ''
      : saidRpm === undefined
        ? 'Type the speed it runs at behind an @: 43.4 @ 2570 rpm.'
        : `Running at ${figures.plain(saidRpm)}\u2009rpm, as last said; another behind an @.`,
    check.how?.either ? 'Leads may be swapped.' : '',
    check.how?.note ?? (check.toFrame ? 'Bare metal, not paint.' : ''),
  ]
    .filter((words) => words !== '')
    .join(' ')
}

interface PlainStanding {
  card: Card
  meter: Instrument | undefined
  check: PreparedCheck | undefined
  zeroHow: 'hardware' | 'subtract'
  supplyWhile: 'on' | 'off'
}

/** What to do on a step that is not a reading. */
export function plainInstruction(step: Step, { card, meter, check, zeroHow, supplyWhile }: PlainStanding): string {
  switch (step.kind) {
    case 'look':
      return `Burnt, cracked or chafed: ${step.place}.`
    case 'isolate':
      return card.care.isolate.join(' ')
    case 'temperature':
      return 'Type what the thermometer shows. The part has the room’s temperature only if it has lain here for hours.'
    case 'leads':
      return `Type what ${meter?.name ?? 'the meter'} shows with the tips together${zeroHow === 'hardware' ? ', then zero it' : ''}.`
    case 'supply':
      return `Current limited, and never on pins that are not known by ohms. Type the volts at the part ${supplyWhile === 'on' ? 'while it draws' : 'before it draws'}.`
    case 'frame-proof':
      return 'Two places on the same bare metal. Type what it shows: paint and oxide read open too.'
    default:
      return check?.how?.note ?? ''
  }
}

/** How a reading is taken again, by clips where they are in hand or asked for; empty where it is taken for the first time. */
export function againWay(
  doing: { mistyped: boolean } | null,
  { entry, status }: Partial<Pick<StepState, 'entry' | 'status'>>,
  contact: 'tips' | 'clips',
  open: readonly OpenPoint[],
): Again {
  if (!doing && status !== 'again') return ''
  if (doing?.mistyped) return 'retype'
  const wantsClips = open.some((one) => one.why === 'clip-on' && one.entry === entry)
  return wantsClips || contact === 'clips' ? 'clip' : 'touch'
}
