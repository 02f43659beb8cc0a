import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { againstPast, limitsFromRecord, metersCompared, spreadOf } from '.'

const figure = fc.double({ min: 0.01, max: 1e6, noNaN: true })

describe('limits from known-good units', () => {
  const good = (...values: number[]) => values.map((value) => ({ value, u: 0.5, good: true }))

  test('need five that stayed good; one that came back is left out', () => {
    expect(limitsFromRecord(good(318, 320, 317, 319))).toBeNull()
    const five = good(318, 320, 317, 319, 321)
    const returned = { value: 250, u: 0.5, good: false }
    expect(limitsFromRecord([...five, returned])).toEqual(limitsFromRecord(five))
    expect(limitsFromRecord([...five, returned])?.n).toBe(5)
  })

  test('are never narrower than the readings allow', () => {
    const alike = [318, 318, 318, 318, 318].map((value) => ({ value, u: 2, good: true }))
    expect(limitsFromRecord(alike)?.s).toBe(2)
  })

  test('hold every unit they were learned from when these are alike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 90, max: 110, noNaN: true }), { minLength: 5, maxLength: 30 }),
        (values) => {
          const found = limitsFromRecord(values.map((value) => ({ value, u: 0.1, good: true })))
          expect(found?.min).toBeLessThanOrEqual(found?.mean ?? 0)
          expect(found?.max).toBeGreaterThanOrEqual(found?.mean ?? 0)
        },
      ),
    )
  })
})

describe('the spread of a model', () => {
  test('of nothing is nothing; of one there is no deviation', () => {
    expect(spreadOf([])).toBeNull()
    expect(spreadOf([Infinity])).toBeNull()
    expect(spreadOf([36.5])).toMatchObject({ n: 1, mean: 36.5, s: null, median: 36.5 })
  })

  test('by hand', () => {
    expect(spreadOf([4, 1, 3, 2])).toEqual({
      n: 4,
      mean: 2.5,
      s: Math.sqrt(5 / 3),
      median: 2.5,
      quartiles: [1.75, 3.25],
      min: 1,
      max: 4,
    })
  })

  test('stands in order, and scaling units changes nothing', () => {
    fc.assert(
      fc.property(fc.array(figure, { minLength: 1, maxLength: 40 }), (values) => {
        const one = spreadOf(values)
        const other = spreadOf(values.map((value) => value * 1000))
        if (!one || !other) throw new Error('values have a spread')
        const inOrder = [one.min, one.quartiles[0], one.median, one.quartiles[1], one.max]
        expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b))
        expect(other.median / one.median / 1000).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('a unit against its own past', () => {
  test('has moved only beyond both uncertainties', () => {
    expect(againstPast({ value: 322, u: 2 }, { value: 318, u: 2 })).toMatchObject({ difference: 4, moved: false })
    expect(againstPast({ value: 330, u: 2 }, { value: 318, u: 2 }).moved).toBe(true)
    expect(againstPast({ value: 1, u: 0.1 }, { value: 0, u: 0.1 }).percent).toBeNull()
  })

  test('the other way round is the same change backwards', () => {
    fc.assert(
      fc.property(figure, figure, (a, b) => {
        const there = againstPast({ value: a, u: 1 }, { value: b, u: 1 })
        const back = againstPast({ value: b, u: 1 }, { value: a, u: 1 })
        expect(there.difference + back.difference).toBe(0)
        expect(there.moved).toBe(back.moved)
      }),
    )
  })
})

describe('meters compared on one check', () => {
  const read = (meter: string, unit: string, value: number) => ({ meter, unit, value, u: 0.3 })

  test('over the units that both read', () => {
    const record = [
      read('m2', 'a', 318),
      read('b1', 'a', 315),
      read('m2', 'b', 320),
      read('b1', 'b', 316.9),
      read('m2', 'c', 300),
    ]
    const [pair] = metersCompared(record)
    expect(pair).toMatchObject({ meters: ['m2', 'b1'], n: 2, disagree: true })
    expect(pair?.meanPct).toBeCloseTo(0.96, 2)
  })

  test('that share no unit are not compared, and near ones do not disagree', () => {
    expect(metersCompared([read('m2', 'a', 318), read('b1', 'b', 315)])).toEqual([])
    expect(metersCompared([read('m2', 'a', 318), read('b1', 'a', 318.2)])[0]?.disagree).toBe(false)
  })
})
