import { describe, expect, test } from '@jest/globals'
import { Script, twinCard } from '../testing'
import { comparisonOf, runState } from '.'

describe('a run as the next one is compared with it', () => {
  test('figures at 20 °C, failed checks by name, open ones without a figure', () => {
    const script = new Script(twinCard())
    script.ready(40).read('low', '343').read('high', 'OL')
    const earlier = comparisonOf(runState(script.run), 'earlier')
    expect(earlier).toMatchObject({ as: 'earlier', run: script.run.id, failed: ['high'] })
    expect(earlier.figures.map((one) => one.check)).toEqual(['low'])
    expect(earlier.figures[0]?.value).toBeCloseTo((343 * (234.5 + 20)) / (234.5 + 40), 0)
  })

  test('a run without readings says nothing of either', () => {
    expect(comparisonOf(runState(new Script(twinCard()).run), 'earlier')).toEqual({
      as: 'earlier',
      tag: expect.any(String),
      run: expect.any(String),
      figures: [],
    })
  })

  test('the next run begins with what failed, and shows it no longer once the card has dropped it', () => {
    const script = new Script(twinCard())
    const first = comparisonOf(runState(script.ready(20).read('high', 'OL').run), 'earlier')
    const next = new Script(twinCard())
    next.run.compare = [first]
    const readings = runState(next.run).steps.filter(({ step }) => step.kind === 'reading')
    expect(readings[0]?.step.id).toBe('high')
  })
})
