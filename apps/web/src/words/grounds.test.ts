import { describe, expect, test } from '@jest/globals'
import type { Limit } from '@sure-spool/core'
import { coarseCard, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { groundsOf, type Ground } from './grounds'

const figures = figuresWith(() => false)
function grounds(script: Script, check: string): Record<string, Ground> {
  const state = script.state()
  const one = [...state.evaluations.values()].findLast((each) => each.check.id === check)
  if (!one) throw new Error(`${check} was not read`)
  return Object.fromEntries(groundsOf(one, state.run.card, figures).map((line) => [line.name, line]))
}

describe('a verdict’s arithmetic can be done again by hand', () => {
  test('a warm part: what was taken, net of leads, at the reference', () => {
    const lines = grounds(new Script(twinCard()).ready(35).read('low', '341'), 'low')
    expect(lines['as taken']).toMatchObject({ gives: '341' })
    const [at] = Object.keys(lines).filter((name) => name.startsWith('at '))
    expect(at).toBe('at 20\u2009°C')
    const byHand = (341 * (234.5 + 20)) / (234.5 + 35)
    expect(Number(lines[at ?? '']?.gives)).toBeCloseTo(byHand, 1)
  })

  test('the parts of u, squared, added and rooted, are u', () => {
    const lines = grounds(new Script(twinCard()).ready(35).read('low', '341'), 'low')
    const parts = Object.values(lines).filter(({ name }) => name.startsWith('u, '))
    const factor = Number(/× ([\d.]+)/.exec(lines['u']?.how ?? '')?.[1])
    expect(factor).toBeCloseTo((234.5 + 20) / (234.5 + 35), 3)
    const scaled = parts.map(({ name, gives }) => Number(gives) * (/part|reference/.test(name) ? 1 : factor))
    const u = Math.hypot(...scaled)
    expect(parts.length).toBeGreaterThanOrEqual(3)
    expect(Math.abs(u / Number(lines['u']?.gives) - 1)).toBeLessThan(0.002)
  })

  test('of leads that nobody zeroed nothing is taken off, and that is said', () => {
    const script = new Script(coarseCard()).put({ kind: 'isolation', state: 'loose' }).read('lighting', '0.78')
    expect(grounds(script, 'lighting')['net of leads']?.how).toContain('never zeroed: nothing taken off')
  })

  test('another source that would have said otherwise stands beside the one that judged', () => {
    const card = twinCard()
    const low = card.checks.find((check) => check.id === 'low')
    const [limit] = low?.limits ?? []
    if (!low || !limit) throw new Error('the twin has a low-speed limit')
    card.sources.push({ id: 'other', grade: 'told', title: 'told on the quay' })
    low.limits.push({ ...limit, id: 'l9', source: 'other', limit: { kind: 'band', min: 100, max: 200 } })
    const lines = grounds(new Script(card).ready().read('low', '322'), 'low')
    expect(lines['the other source']).toMatchObject({ gives: 'outside' })
    expect(lines['the other source']?.how).toContain('told on the quay')
  })

  test('a check without figures says that the card gives none', () => {
    const card = twinCard()
    card.checks = card.checks.map((check) => (check.id === 'low' ? { ...check, limits: [] } : check))
    expect(grounds(new Script(card).ready().read('low', '322'), 'low')['limits']?.how).toContain('gives none')
  })

  test.each<[Limit, string]>([
    [{ kind: 'band', min: 286, max: 350 }, '286\u2009Ω – 350\u2009Ω'],
    [{ kind: 'atLeast', value: 286 }, 'from 286\u2009Ω'],
    [{ kind: 'atMost', value: 350 }, 'to 350\u2009Ω'],
  ])('limits %j are a span, or the one end there is', (limit, gives) => {
    const card = twinCard()
    const low = card.checks.find((check) => check.id === 'low')
    const [own] = low?.limits ?? []
    if (!low || !own) throw new Error('the twin has a low-speed limit')
    low.limits = [{ ...own, limit }]
    expect(grounds(new Script(card).ready().read('low', '322'), 'low')['limits']).toMatchObject({ gives })
  })

  test('volts over amperes: both meters’ parts make u, and no leads were taken off', () => {
    const lines = grounds(new Script(twinCard()).ready().read('low', '32.2V / 0.100A'), 'low')
    const [meters, digits] = [lines['u, meters'], lines['u, digits']].map((one) => Number(one?.gives))
    expect(meters).toBeGreaterThan(0)
    expect(Math.hypot(meters ?? 0, digits ?? 0)).toBeCloseTo(Number(lines['u']?.gives), 1)
    expect(lines['as taken']?.how).toContain('32.2V / 0.100A')
    expect(lines['net of leads']?.how).toContain('four wires')
    expect(lines['u, meter']).toBeUndefined()
  })
})
