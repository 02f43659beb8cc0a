import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { rewindState } from '@sure-spool/core'
import { rewindOf } from '@sure-spool/core/testing'
import { rewindStepWords } from './rewindSteps'

/** A pole, and one that is wound as its sister: what each step is called and asks, as it was read through in `rewindSteps.txt`. */
test('a step of a rewind is called, and asks, what was read through', () => {
  const coils = [
    { id: 'north', winding: 'ring', label: 'north coil' },
    { id: 'south', winding: 'ring', label: 'south coil', sister: 'the bridge pickup' },
  ]
  const rewind = rewindOf(coils, { kind: 'original', coil: 'north', facts: { lay: 'cw' } })
  const state = rewindState(rewind)
  const said = state.steps.map((step) => [step.id, ...Object.values(rewindStepWords(state, step))].join(' | '))
  expect(said.join('\n')).toBe(readFileSync('apps/web/src/words/rewindSteps.txt', 'utf8').trimEnd())
})
