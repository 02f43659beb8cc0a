import { stateKeys } from '../keys/statement'

const touching = ['reading', 'held'] as const
const typed = ['reading', 'held', 'figure'] as const
/** a line that is open, and one whose figure may be taken in two ways */
const lines = ['line', 'figureLine'] as const
const digits = [...typed, 'prefix'] as const
const free = ['reading', 'held', 'figure', 'look', 'isolate', 'answer'] as const
/** every step; while the prefix is asked for its letters are the answer */
const steps = [...free, 'prefix'] as const
const ends = ['finding', 'closed'] as const
const resting = [...steps, ...ends] as const

/** What the keys do on the bench. On an answer the letters choose it, on a held reading three of them answer the remark. */
export const benchKeys = stateKeys(
  'The bench',
  ['absent', ...steps, ...lines, 'asking', ...ends, 'deciding'],
  {
    open: { keys: [...'0123456789.,-<>~'], label: 'type the figure', cap: '0–9', when: digits },
    over: { keys: ['o', 'O'], cap: 'o', label: 'over range', when: typed },
    beep: { keys: ['y'], label: 'it beeps', when: touching },
    noBeep: { keys: ['u'], label: 'no beep', when: touching },
    pedal: { keys: [' '], label: 'keep what the meter shows', when: steps },
    keepLine: { keys: ['Enter'], label: 'keep', when: lines },
    prefix: { keys: ['*'], label: 'step the prefix', when: lines, repeats: true },
    clearLine: { keys: ['Escape'], label: 'clear the line', when: lines },
    ohms: { keys: ['o'], label: 'ohm', when: ['prefix'] },
    kilo: { keys: ['k'], label: 'kilo', when: ['prefix'] },
    mega: { keys: ['m'], label: 'mega', when: ['prefix'] },
    giga: { keys: ['g'], label: 'giga', when: ['prefix'] },
    mend: { keys: ['a'], label: 'the remark’s first answer', when: ['held'] },
    other: { keys: ['b'], label: 'the remark’s second answer', when: ['held'] },
    keepSo: { keys: ['c'], label: 'keep, say why', when: ['held', 'prefix'] },
    seen: { keys: [...'1234567890'], label: 'what is seen', cap: '1–0', when: ['look'] },
    fault: { keys: ['!'], label: 'a fault by itself', when: ['look'] },
    photo: { keys: ['f'], label: 'photo', when: ['look'] },
    keepLook: { keys: ['Enter'], label: 'keep what was seen', when: ['look'] },
    isolate: { keys: [...'abcd'], label: 'how it is isolated', cap: 'a–d', when: ['isolate'] },
    say: { keys: [...'abcdefgh'], label: 'what it does', cap: 'a–h', when: ['answer'] },
    pick: { keys: [...'abc'], label: 'how it was taken', cap: 'a b c', when: ['figure', 'figureLine'] },
    choose: { keys: [...'abcef'], label: 'decide', cap: 'a b c e f', when: ['finding'], settles: true },
    settle: { keys: [...'123'], label: 'go and do it', cap: '1–3', when: ['finding'] },
    winder: { keys: ['r'], label: 'to the winder', when: ends },
    decideAgain: { keys: ['d'], label: 'decide again', when: ['closed'] },
    later: { keys: ['t'], label: 'the next of the tray, decide later', when: ['finding'] },
    onward: { keys: ['Enter'], label: 'the next part', when: ['closed'] },
    up: { keys: ['ArrowUp'], label: 'up the path', when: resting, repeats: true },
    down: { keys: ['ArrowDown'], label: 'down the path', when: resting, repeats: true },
    testBefore: { keys: ['PageUp'], label: 'the test before', when: resting, repeats: true },
    testAfter: { keys: ['PageDown'], label: 'the next test', when: resting, repeats: true },
    follow: { keys: ['Escape'], label: 'the step that is open', when: resting },
    again: { keys: ['t'], label: 'take again', when: steps },
    mistyped: { keys: ['e'], label: 'mistyped', when: ['reading', 'held', 'figure', 'look', 'isolate'] },
    takeBack: { keys: ['x'], label: 'take back', when: resting },
    undo: { keys: ['Backspace'], label: 'undo last', when: resting },
    skip: { keys: ['s'], label: 'skip', when: steps },
    note: { keys: ['n'], label: 'note', when: resting },
    points: { keys: ['p'], label: 'any two points', when: free },
    rest: { keys: ['r'], label: 'all the rest the same', when: ['reading'] },
    compare: { keys: ['c'], label: 'beside a good one', when: ['reading'] },
    exchange: { keys: ['q'], label: 'leads exchanged', when: touching },
    hop: { keys: ['v'], label: 'over to the other part, and back', when: ['reading', 'held', 'finding'] },
    work: { keys: ['w'], label: 'work done', when: [...steps, 'finding'] },
    look: { keys: ['l'], label: 'look', when: [...steps, 'finding'] },
    place: { keys: ['h'], label: 'place and order', when: ['reading', 'held', 'figure', 'look', 'isolate', 'finding'] },
    zero: { keys: ['z'], label: 'zero the leads', when: steps },
    contact: { keys: ['k'], label: 'tips or clips', when: free },
    meter: { keys: ['j'], label: 'next meter', when: steps },
    flip: { keys: ['f'], label: 'flip', when: touching },
    turn: { keys: ['F'], label: 'turn the plug', when: touching },
    grounds: { keys: ['g'], label: 'grounds', when: ['reading', 'held', 'figure', 'look', 'isolate'] },
    decide: { keys: ['d'], label: 'decide', when: ['reading', 'held', 'figure', 'look'] },
    mute: { keys: ['m'], label: 'mute', when: free },
    sheet: { keys: ['p'], label: 'the sheet', when: ends },
    card: { keys: ['y'], label: 'make a card of it', when: ends },
    takeIn: { keys: ['i'], label: 'take in a part', when: resting },
    find: { keys: ['/'], label: 'find a card', when: resting },
  },
  lines,
)

export type BenchSituation = (typeof benchKeys.situations)[number]
