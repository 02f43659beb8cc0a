import { describe, expect, test } from '@jest/globals'
import { armatureCard, Script, twinCard } from '../testing'
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

  test('what a stop holds, and what read over range, gives no figure; what failed and is held is not named', () => {
    const held = new Script(twinCard()).read('low', '322').read('high', 'OL')
    expect(comparisonOf(held.state(), 'twin')).toMatchObject({ as: 'twin', figures: [] })
    expect(comparisonOf(held.state(), 'twin')).not.toHaveProperty('failed')
    const loose = new Script(twinCard()).ready().read('low', '322').read('high', '52.1')
    expect(comparisonOf(loose.state(), 'twin').figures.map(({ check }) => check)).toEqual(['low', 'high'])
  })

  test('megohms over a break give no figure of the winding', () => {
    const broken = new Script(twinCard()).ready().read('low', '2.6M').read('high', '36.5')
    expect(comparisonOf(broken.state(), 'earlier')).toMatchObject({ failed: ['low'], figures: [{ check: 'high' }] })
  })

  test('a figure names its pair and its number where it has them, and how sure it is', () => {
    const [low] = comparisonOf(new Script(twinCard()).ready().read('low', '322').state(), 'earlier').figures
    expect(low).toEqual({ check: 'low', pair: ['O', 'G'], value: expect.closeTo(322, 9), u: expect.any(Number) })
    const script = new Script(armatureCard()).ready().read('bars', '.41', { index: 3 })
    expect(comparisonOf(script.state(), 'earlier').figures).toMatchObject([{ check: 'bars', index: 3 }])
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
    next.run.compare = [{ ...first, as: 'twin', failed: ['trigger'] }, first]
    const readings = runState(next.run).steps.filter(({ step }) => step.kind === 'reading')
    expect(readings[0]?.step.id).toBe('high')
  })
})
