import { expect, test } from '@jest/globals'
import { Script, twinCard } from '../testing'
import { nextReading } from './nextReading'

const next = (script: Script) =>
  nextReading(script.state(), {
    check: 'low',
    at: '2026-03-02T10:00:00.000Z',
    by: 'p',
    instrument: 'm2',
    pair: ['O', 'G'],
  })

test('the part’s temperature is that of the next reading too, before any work and after it', () => {
  const script = new Script(twinCard()).ready(17)
  expect(next(script)?.evaluation.temperature).toMatchObject({ partC: 17, from: 'measured' })
  script.put({ kind: 'work', what: 'clean', place: 'the part' })
  expect(next(script)?.evaluation.temperature?.from).not.toBe('measured')
  script.put({ kind: 'temperature', part: 'measured', partC: 21 })
  expect(next(script)?.evaluation.temperature).toMatchObject({ partC: 21, from: 'measured' })
})
