import { stateKeys } from '../keys/statement'

const counting = ['turns', 'wind'] as const
const figures = ['turns', 'wire', 'wind'] as const
const resting = ['turns', 'wire', 'wind', 'direction', 'plan', 'phase', 'prove'] as const
/** what can be shown on a photo */
const shown = ['turns', 'wire', 'direction', 'phase', 'prove'] as const

/** What the keys do at the winder. A step that wants words has its own line open. */
export const winderKeys = stateKeys(
  'The winder',
  ['absent', ...resting, 'line', 'asking'],
  {
    open: { keys: [...'0123456789.,'], label: 'type the figure', cap: '0–9', when: figures },
    keepLine: { keys: ['Enter'], label: 'keep', when: ['line'] },
    clearLine: { keys: ['Escape'], label: 'clear the line', when: ['line'] },
    one: { keys: [' '], label: 'one turn', when: counting, repeats: true },
    ten: { keys: ['+'], label: 'ten turns', when: counting, repeats: true },
    counted: { keys: ['Enter'], label: 'that is all of them', when: counting },
    build: { keys: ['h'], label: 'single or heavy film', when: ['wire'] },
    take: { keys: [...'abcde'], label: 'it is this wire', cap: 'a–e', when: ['wire'] },
    turn: { keys: [...'abcd'], label: 'what one turn showed', cap: 'a–d', when: ['direction'] },
    swing: { keys: [...'abcd'], label: 'how it swings', cap: 'a–d', when: ['phase'] },
    soFar: { keys: ['k'], label: 'so far', when: counting },
    photo: { keys: ['f'], label: 'photo', when: shown },
    unknown: { keys: ['x'], label: 'cannot be known', when: ['turns', 'wire'] },
    ground: { keys: ['g'], label: 'live ground on or off', when: ['wind'] },
    beep: { keys: ['y'], label: 'it beeps', when: ['wind'] },
    mended: { keys: ['u'], label: 'mended', when: ['wind'] },
    alike: { keys: ['q'], label: 'laid the other way', when: ['wind'] },
    meter: { keys: ['j'], label: 'next meter', when: ['wind'] },
    splice: { keys: ['b'], label: 'broke, spliced', when: ['wind'] },
    restart: { keys: ['a'], label: 'begin it again', when: ['wind'] },
    keepSo: { keys: ['c'], label: 'keep it so, say why', when: ['wind', 'prove'] },
    keepPlan: { keys: ['Ctrl+Enter'], label: 'keep the plan', when: ['plan'] },
    prove: { keys: ['Enter'], label: 'prove it', when: ['prove'] },
    up: { keys: ['ArrowUp'], label: 'up the path', when: resting, repeats: true },
    down: { keys: ['ArrowDown'], label: 'down the path', when: resting, repeats: true },
    follow: { keys: ['Escape'], label: 'the step that is open', when: resting },
    undo: { keys: ['Backspace'], label: 'undo last', when: [...figures, 'direction', 'phase', 'prove'] },
    note: { keys: ['n'], label: 'note', when: resting },
    sheet: { keys: ['p'], label: 'the sheet', when: ['turns', 'wire', 'wind', 'direction', 'phase', 'prove'] },
    save: { keys: ['s'], label: 'save as JSON', when: ['turns', 'wire', 'wind', 'direction', 'phase', 'prove'] },
  },
  ['line'],
)

export type WinderSituation = (typeof winderKeys.situations)[number]
