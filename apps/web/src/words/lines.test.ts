import { expect, test } from '@jest/globals'
import { runState } from '@sure-spool/core'
import { demoCard, kit, pocketMeter, Script } from '@sure-spool/core/testing'
import { foundLines } from './lines'
import { figuresWith } from './figures'

const figures = figuresWith(() => false)
const onBoth = () =>
  new Script(demoCard('orrinvale-inboard-canister'), {
    instruments: [pocketMeter, ...kit.filter(({ id }) => id === 'k4')],
  })
    .ready()
    .read('primary', '1.59')
    .read('primary', '1.8', { instrument: 'k4' })
const linesOf = (script: Script) => foundLines(runState(script.run), true, figures)

test('a reading beside a surer one is told by its meter, is no earlier part, and is held where a remark holds it', () => {
  const [judged, beside] = linesOf(onBoth())
  expect(judged).toMatchObject({ label: 'primary', beside: false, earlierStage: false, held: false })
  expect(beside).toMatchObject({
    label: 'primary, beside, on Knob meter K4',
    beside: true,
    earlierStage: false,
    held: true,
  })
})

test('what was read before a repair is of an earlier part, on whatever meter', () => {
  const lines = linesOf(onBoth().put({ kind: 'work', what: 'rewind', place: 'primary' }).read('primary', '1.55'))
  expect(lines.map(({ earlierStage, beside }) => [earlierStage, beside])).toEqual([
    [true, false],
    [true, false],
    [false, false],
  ])
})
