import { expect, test } from '@jest/globals'
import { samePoint } from '../judgement'
import { valveCard, type Script } from '../testing'
import { on } from '../testing/causing'
import { asJudged } from './judgedByRelation'

/** The last reading as it was judged by itself, and as its check has it. */
const last = (script: Script) => {
  const state = script.state()
  const entry = script.run.entries.at(-1)?.id ?? ''
  return { own: state.evaluations.get(entry), judged: asJudged(state, entry), state }
}
/** 12 V over 8 Ω: 1.5 A. */
const driven = () =>
  on(valveCard())
    .read('coil', '8.00', { contact: 'clips' })
    .put({ kind: 'supply', text: '12.0', volts: 12, u: 0.05, while: 'on' })

test('amperes without a limit have the verdict of volts over ohms', () => {
  const { own, judged, state } = last(driven().read('draw', '1.50'))
  // and it is no second touch of itself
  expect(judged && samePoint(state.tape, judged, [...state.evaluations.values()])).toEqual([])
  expect([own?.verdict, own?.reason]).toEqual(['none', 'no-limit'])
  expect(judged).toEqual({ ...own, verdict: 'within', reason: 'by-relation' })
  expect(last(driven().read('draw', '2.40')).judged).toMatchObject({ verdict: 'borderline', reason: 'by-relation' })
})

test('what no relation has judged stays as it was read, and so does what has a limit of its own', () => {
  const alone = last(on(valveCard()).read('draw', '1.50'))
  expect(alone.judged).toBe(alone.own)
  const coil = last(on(valveCard()).read('coil', '8.00', { contact: 'clips' }))
  expect(coil.judged).toBe(coil.own)
  expect(coil.own?.verdict).toBe('within')
})

test('what is no reading has no verdict', () => {
  expect(asJudged(driven().state(), 'nobody')).toBeUndefined()
})
