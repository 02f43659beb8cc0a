import { expect, test } from '@jest/globals'
import { runState, type Relation } from '@sure-spool/core'
import { demoCard, kit, pocketMeter, Script } from '@sure-spool/core/testing'
import { foundLines, relationUnit } from './lines'
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
  expect(judged).toMatchObject({ label: 'primary', aside: undefined, held: false })
  expect(beside).toMatchObject({
    label: 'primary, beside, on Knob meter K4',
    aside: 'beside',
    held: true,
  })
})

test('what was read before a repair is of an earlier part, on whatever meter', () => {
  const lines = linesOf(onBoth().put({ kind: 'work', what: 'rewind', place: 'primary' }).read('primary', '1.55'))
  expect(lines.map(({ aside }) => aside)).toEqual(['earlier', 'earlier', undefined])
})

test('two touches of one pair on one meter are one line that is judged, and one that was read again', () => {
  const script = new Script(demoCard('brindlecote-c3'), { instruments: [pocketMeter] }).ready()
  for (let i = 0; i < 2; i++) script.read('pins', 'OL 60M', { pair: ['C', 'R'] })
  expect(linesOf(script).map(({ aside }) => aside)).toEqual(['again', undefined])
})

test.each([
  ['duskwater-capstan', 'clutch', '8.9', 'clutch', 'Windings'],
  ['orrinvale-18-twin', 'frame', 'OL 40M', 'O', 'Ground'],
  ['orrinvale-9-single', 'earth', '0.1', 'earth', 'Ground'],
])('of %s the check %s is read to the body as what it is', (card, check, text, terminal, group) => {
  const script = new Script(demoCard(card)).ready().read(check, text, { pair: [terminal, 'frame'] })
  expect(linesOf(script).at(-1)?.group).toBe(group)
})

test('a float is read along its track, though it goes to the body', () => {
  const script = new Script(demoCard('wexmoor-tank-sender')).ready()
  const float = script.run.card.checks.find(({ kind }) => kind === 'curve')
  expect(linesOf(script.read(float?.id ?? '', '122', { x: 50 })).at(-1)?.group).toBe('Windings')
})

test.each<[Relation['kind'], string]>([
  ['draw', '%'],
  ['twin', '%'],
  ['equal', '%'],
  ['unbalance', '%'],
  ['sum', 'Ω'],
  ['ratio', ''],
  ['above', ''],
])('the figure of a relation %s is in %j', (kind, unit) => {
  expect(relationUnit({ kind } as Relation)).toBe(unit)
})
