import { describe, expect, test } from '@jest/globals'
import { prepareCard } from '../judgement'
import { demoCard, twinCard } from '../testing'
import { byCoil, worksByCoil } from './byCoil'
import { planSteps } from './steps'

const capstan = prepareCard(demoCard('duskwater-capstan'))
const ids = (order: 'tests' | 'coils') => planSteps(capstan, [], order).map(({ id }) => id)

describe('coil by coil', () => {
  test('all that one winding wants comes before the next, the supply before the first that wants it', () => {
    const [tests, coils] = [ids('tests'), ids('coils')]
    expect([...coils].sort()).toEqual([...tests].sort())
    expect(coils.at(-1)).toBe('finding')
    const read = planSteps(capstan, [], 'coils').filter(({ coil }) => coil !== undefined)
    const order = read.map(({ coil }) => coil)
    expect([...new Set(order)].flatMap((coil) => order.filter((one) => one === coil))).toEqual(order)
    expect(new Set(order).size).toBe(2)
    const driven = read.find(({ group, kind }) => group === 'act' && kind === 'reading')
    expect(coils.indexOf('supply')).toBeLessThan(coils.indexOf(driven?.id ?? ''))
    expect(coils.indexOf('supply')).toBe(coils.indexOf(driven?.id ?? '') - 1)
  })

  test('is another order only where several windings want several readings', () => {
    const tells = (of: typeof capstan) => worksByCoil(planSteps(of), of)
    expect(tells(capstan)).toBe(true)
    expect(tells(prepareCard(twinCard()))).toBe(false)
    expect(tells(prepareCard(demoCard('duskwater-dv24')))).toBe(false)
  })

  test('what reads several windings, or the frame, stays where it was', () => {
    const twin = prepareCard(twinCard())
    const series = byCoil(planSteps(twin), twin).find(({ id }) => id === 'series')
    expect(series).not.toHaveProperty('coil')
    expect(planSteps(capstan, [], 'coils').find(({ id }) => id === 'isolate')).not.toHaveProperty('coil')
  })
})
