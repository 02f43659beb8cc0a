import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { beginBrowser, FakeElement } from '../testing/browser'
import { dispatchKey, enterKeys, screenChanged, situationBegins, standingKeys, stepChanged } from './registry'
import { stateKeys } from './statement'

const statement = stateKeys(
  'a screen',
  ['list', 'line'],
  {
    go: { keys: ['g'], label: 'go', when: ['list'] },
    down: { keys: ['ArrowDown'], label: 'down', when: ['list'], repeats: true },
    decide: { keys: ['d'], label: 'decide', when: ['list'], settles: true },
    keep: { keys: ['Enter'], label: 'keep', when: ['line'] },
    undo: { keys: ['Ctrl+z'], label: 'undo' },
    leave: { keys: ['Escape'], label: 'leave' },
  },
  ['line'],
)

let did: string[] = []
let situation: 'list' | 'line' = 'list'
let leaves: (() => void)[] = []
let page: ReturnType<typeof beginBrowser>
/** a clock of its own, far from where the last test left it */
let now = 10_000

const act = (name: string, answer?: boolean) => (key: string) => {
  did.push(`${name} ${key}`)
  return answer
}
const acts = (leaveOn?: boolean) => ({
  go: act('go'),
  down: act('down'),
  decide: act('decide'),
  keep: act('keep'),
  undo: act('undo'),
  leave: act('leave', leaveOn),
})
beforeEach(() => {
  page = beginBrowser()
  now += 10_000
  did = []
  situation = 'list'
  screenChanged(now - 5000)
  leaves = [
    enterKeys({ statement, situation: () => situation, acts: acts(), type: (key) => void did.push(`typed ${key}`) }),
  ]
  situationBegins('a screen', 'list', now - 5000)
})
afterEach(() => {
  for (const leave of leaves) leave()
})

const press = (key: string, more: Partial<KeyboardEvent> = {}, target: unknown = new FakeElement('BODY')) =>
  dispatchKey({ key, target, repeat: false, getModifierState: () => false, ...more } as KeyboardEvent, now)

describe('a key', () => {
  test('is its letter under Caps Lock too; in an open line it is what it prints', () => {
    const caps = { getModifierState: (lock: string) => lock === 'CapsLock' }
    expect([press('G', caps), press('g', caps), press('G')]).toEqual([true, false, false])
    situation = 'line'
    press('K', caps)
    expect(did).toEqual(['go g', 'typed K'])
  })
  test('does what the screen says of it in its situation, and is used up; another is left to the browser', () => {
    expect([press('g'), press('q'), press('Enter')]).toEqual([true, false, false])
    situation = 'line'
    expect([press('Enter'), did]).toEqual([true, ['go g', 'keep Enter']])
  })

  test('goes to what lies over the screen first, and on to the screen where that leaves it', () => {
    const over = stateKeys('over it', ['asking'], {
      go: { keys: ['g'], label: 'go' },
      leave: { keys: ['Escape'], label: 'leave' },
    })
    const leave = enterKeys({
      statement: over,
      situation: () => 'asking',
      acts: { go: () => void did.push('over'), leave: () => false },
    })
    expect(standingKeys().map((one) => one.statement.screen)).toEqual(['a screen', 'over it'])
    press('g')
    press('Escape')
    leave()
    press('g')
    expect(did).toEqual(['over', 'leave Escape', 'go g'])
  })

  test('with Ctrl is another key, and a letter with Alt is that letter’s only where it is stated', () => {
    expect([press('z', { ctrlKey: true }), press('Z', { metaKey: true }), press('z')]).toEqual([true, true, false])
    expect([press('g', { ctrlKey: true }), press('g', { altKey: true })]).toEqual([false, false])
    expect(did).toEqual(['undo z', 'undo Z'])
  })

  test('that somebody has used already, that is being composed, or that a dialog has, is not ours', () => {
    expect([press('g', { defaultPrevented: true }), press('g', { isComposing: true })]).toEqual([false, false])
    page.dialog = new FakeElement('DIV')
    expect([press('g'), did]).toEqual([false, []])
  })
})

describe('what has the focus', () => {
  const line = new FakeElement('INPUT')
  line.dataset['line'] = ''
  const written = new FakeElement('DIV')
  written.isContentEditable = true

  test.each([
    ['a field', new FakeElement('INPUT'), 'g', false],
    ['a long field', new FakeElement('TEXTAREA'), 'g', false],
    ['an editor', written, 'g', false],
    ['the reading line', line, 'g', true],
    ['a list of choices', new FakeElement('DIV', ['listbox']), 'g', false],
    ['a table', new FakeElement('TD', ['grid']), 'g', false],
    ['a button, which has Enter and Space alone', new FakeElement('BUTTON'), 'g', true],
    ['a link', new FakeElement('A'), 'g', true],
  ])('%s: %#', (_, target, key, isOurs) => {
    expect(press(key, {}, target)).toBe(isOurs)
  })

  test('Enter on a button presses the button, on nothing it keeps', () => {
    situation = 'line'
    expect(press('Enter', {}, new FakeElement('BUTTON'))).toBe(false)
    expect(press('Enter', {}, new FakeElement('DIV'))).toBe(true)
    expect(did).toEqual(['keep Enter'])
  })

  test('Ctrl and a key is the screen’s, even in a field', () => {
    expect(press('z', { ctrlKey: true }, new FakeElement('INPUT'))).toBe(true)
  })
})

describe('a habitual second press', () => {
  test('of the key that brought this screen does nothing on it for 300 ms, and counts then', () => {
    press('g')
    screenChanged(now)
    now += 299
    expect([press('g'), did.length]).toEqual([true, 1])
    now += 1
    press('g')
    expect(did.length).toBe(2)
  })

  test('however often it is pressed', () => {
    press('g')
    screenChanged(now)
    for (let presses = 0; presses < 3; presses++) {
      now += 50
      press('g')
    }
    expect(did.length).toBe(1)
  })

  test('of a key that was first pressed here is no habit: two alike digits are two', () => {
    press('d')
    screenChanged(now)
    for (let presses = 0; presses < 2; presses++) {
      now += 20
      press('g')
    }
    expect(did.filter((one) => one.startsWith('go')).length).toBe(2)
  })

  test('of another key counts at once', () => {
    press('g')
    screenChanged(now)
    now += 10
    press('ArrowDown')
    expect(did).toEqual(['go g', 'down ArrowDown'])
  })

  test('a key held down repeats what may repeat, and nothing else', () => {
    press('ArrowDown')
    press('ArrowDown', { repeat: true })
    press('g')
    press('g', { repeat: true })
    expect(did).toEqual(['down ArrowDown', 'down ArrowDown', 'go g'])
  })

  test.each([
    ['another screen', () => screenChanged(now)],
    ['another step', stepChanged],
  ])('held down into %s it stops', (_, change) => {
    press('ArrowDown')
    change()
    now += 1000
    expect(press('ArrowDown', { repeat: true })).toBe(true)
    expect(did).toEqual(['down ArrowDown'])
  })

  test('the step alone does not stop a key pressed anew', () => {
    press('ArrowDown')
    stepChanged()
    press('ArrowDown')
    expect(did.length).toBe(2)
  })

  test('an act that decides waits until its situation has stood for 300 ms', () => {
    situationBegins('a screen', 'list', now)
    now += 299
    expect([press('d'), did]).toEqual([true, []])
    now += 1
    press('d')
    expect(did).toEqual(['decide d'])
  })

  test('coming from another situation it waits again, though nobody said that it began', () => {
    situation = 'line'
    press('Escape')
    situationBegins('another', 'line', now)
    situation = 'list'
    press('d')
    expect(did).toEqual(['leave Escape'])
    now += 300
    press('d')
    expect(did.at(-1)).toBe('decide d')
  })
})

describe('an open line', () => {
  test('takes what prints and what deletes, but not the names of keys', () => {
    situation = 'line'
    for (const key of ['4', 'g', 'Backspace', 'ArrowDown', 'F5']) press(key)
    expect(did).toEqual(['typed 4', 'typed g', 'typed Backspace'])
  })

  test('is not open in a field, nor in another situation', () => {
    press('4')
    situation = 'line'
    press('4', {}, new FakeElement('INPUT'))
    expect(did).toEqual([])
  })

  test('does not take a press that was for the last screen', () => {
    situation = 'line'
    press('4')
    screenChanged(now)
    now += 10
    press('4')
    expect(did).toEqual(['typed 4'])
  })
})
