import { expect, test } from '@jest/globals'
import { armatureCard, Script } from '../testing'
import { slotsNoted, slotWords } from './slotsNoted'

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

test('slots are marked by what was noted of their check, each once, and not when the note is taken back', () => {
  const script = new Script(armatureCard())
    .put({ kind: 'note', about: 'blade', words: 'slots 16, 5 and 9' })
    .put({ kind: 'note', about: 'blade', words: 'Slot 5 again, and bar 3' })
    .put({ kind: 'note', about: 'lamp', words: 'slot 12' })
    .put({ kind: 'note', words: 'slot 13' })
  expect(slotsNoted(script.state().tape, 'blade')).toEqual([5, 9, 16])
  const first = script.run.entries[0]?.id ?? ''
  script.put({ kind: 'take-back', entry: first, reason: 'another armature' })
  expect(slotsNoted(script.state().tape, 'blade')).toEqual([5])
})
