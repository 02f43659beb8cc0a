import { expect, test } from '@jest/globals'
import { trialOf } from '../asked'
import { armatureCard, plainCheck, Script } from '../testing'
import { slotsMarked, slotWords } from './slotsMarked'

const answers = { kind: 'answer' as const, of: ['still', 'pulls'], right: ['still'] }
const bladed = {
  ...armatureCard(),
  checks: [...armatureCard().checks, plainCheck('blade', 'act', { place: 'on the growler' }, answers)],
}

test.each([
  ['5 16', 'slots 5 and 16'],
  ['5 and 16', 'slots 5 and 16'],
  ['5, 16, 20', 'slots 5, 16 and 20'],
  [' 14 ', 'slot 14'],
  ['slots 5 and 16', 'slots 5 and 16'],
  ['by the drive end', 'by the drive end'],
  ['bar 9', 'bar 9'],
  ['', ''],
  ['and', 'and'],
])('“%s” is kept as “%s”', (typed, kept) => expect(slotWords(typed)).toBe(kept))

test('slots are marked by what was noted of a blade or a lamp, each once, and not when the note is taken back', () => {
  const script = new Script(bladed)
    .put({ kind: 'note', about: 'blade', words: 'slots 16, 5 and 9' })
    .put({ kind: 'note', about: 'blade', words: 'Slot 5 again, and bar 3' })
    .put({ kind: 'note', about: 'bars', words: 'slot 12' })
    .put({ kind: 'note', words: 'slot 13' })
  expect(slotsMarked(script.state())).toEqual([5, 9, 16])
  const first = script.run.entries[0]?.id ?? ''
  script.put({ kind: 'take-back', entry: first, reason: 'another armature' })
  expect(slotsMarked(script.state())).toEqual([5])
})

test('a slot that was asked for by itself is marked where it hums, and not where the blade slides', () => {
  const script = new Script(bladed)
  const answer = (slot: number, said: string) => {
    const check = trialOf(script.run.card, `${slot}`, 'blade', { place: `slot ${slot}` })
    script.put({ kind: 'ask', check }).put({
      kind: 'reading',
      check: check.id,
      reading: { taken: 'typed', text: said, decimalComma: false, kind: 'answer', answer: said },
    })
  }
  answer(14, 'hums')
  answer(15, 'slides')
  expect(slotsMarked(script.state())).toEqual([14])
})
