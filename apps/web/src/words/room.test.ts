import { describe, expect, test } from '@jest/globals'
import type { CoilPlan } from '@sure-spool/core'
import { figuresWith } from './figures'
import { roomWords } from './room'

const figures = figuresWith(() => false)
const room = (plan: Partial<CoilPlan>) =>
  roomWords({ from: 'told', why: '', ...plan }, figures).replaceAll('\u2009', ' ')

describe('the room of a coil, for whoever winds the next', () => {
  test.each<[Partial<CoilPlan>, string]>([
    [
      { shape: { kind: 'racetrack', coreLengthMm: 46, coreWidthMm: 9 }, traverseMm: 9, packing: 0.7 },
      'flat core with round ends 46 × 9 mm, traverse 9 mm, packing 0.7',
    ],
    [{ shape: { kind: 'round', coreMm: 12.5 }, traverseMm: 24 }, 'round core 12.5 mm, traverse 24 mm'],
    [{ shape: { kind: 'rectangle', a: 20, b: 8 } }, 'square core 20 × 8 mm'],
    [{ meanTurnMm: 88 }, 'mean turn 88 mm'],
    [{ ohmsPerTurn: 0.95 }, '950 Ω a thousand turns, a rule of thumb'],
    [{}, ''],
  ])('%o', (plan, words) => expect(room(plan)).toBe(words))
})
