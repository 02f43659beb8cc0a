import { expect, test } from '@jest/globals'
import { demoCard, kit, pocketMeter, Script } from '../testing'
import { runState, type RunState } from './runState'

/** A coarse primary read with zeroed leads on one meter, then on another whose leads nobody zeroed. */
const canister = demoCard('orrinvale-inboard-canister')
const onBoth = (second: string) => {
  const script = new Script(canister, { instruments: [pocketMeter, ...kit.filter(({ id }) => id === 'k4')] })
    .ready()
    .read('primary', '1.59')
  return { script, judged: () => runState(script.read('primary', second, { instrument: 'k4' }).run) }
}
const atPrimary = ({ steps }: RunState) => steps.find(({ step }) => 'check' in step && step.check === 'primary')

test('a second meter’s reading that is held waits at its step, though a surer one is judged there', () => {
  const { script, judged } = onBoth('1.8')
  expect(runState(script.run).step).not.toBe(atPrimary(runState(script.run))?.step.id)
  const state = judged()
  const held = script.run.entries.at(-1)?.id
  expect(state.holding?.entry).toBe(held)
  expect(atPrimary(state)).toMatchObject({ status: 'held', entry: held, point: { held: true } })
  expect(state.step).toBe(atPrimary(state)?.step.id)
  expect(state.checks.find(({ check }) => check.id === 'primary')?.points[0]).toMatchObject({
    verdict: 'within',
    evaluation: { taken: 1.59 },
  })
})

test('answered, it holds the bench no more', () => {
  const { script, judged } = onBoth('1.8')
  const remark = judged().holding?.id ?? ''
  const state = runState(script.put({ kind: 'answer', remark, reason: 'only to see what it shows' }).run)
  expect(state.holding).toBeUndefined()
  expect(atPrimary(state)).toMatchObject({ status: 'done', point: { evaluation: { taken: 1.59 } } })
})

test('one that nothing holds leaves the step as it was', () => {
  const { script, judged } = onBoth('1.8')
  script.put({ kind: 'lead-check', instrument: 'k4', text: '0.2', ohms: 0.2, u: 0.06, how: 'subtract' })
  const state = judged()
  expect(state.holding).toBeUndefined()
  expect(atPrimary(state)).toMatchObject({ status: 'done', point: { evaluation: { taken: 1.59 } } })
})

test('a surer meter read after it settles it: the bench goes on', () => {
  const script = new Script(canister, { instruments: kit.filter(({ id }) => id === 'k4' || id === 'b1') })
  script.put({ kind: 'isolation', state: 'loose' }).put({ kind: 'temperature', part: 'room', roomC: 20 })
  script.read('primary', '1.8', { instrument: 'k4' })
  expect(runState(script.run).holding).toBeDefined()
  const state = runState(script.read('primary', '1.590', { instrument: 'b1' }).run)
  expect(atPrimary(state)).toMatchObject({ status: 'done', point: { evaluation: { taken: 1.59 } } })
  expect(state.step).not.toBe(atPrimary(state)?.step.id)
  expect(state.holding).toBeUndefined()
  expect(state.remarks.find(({ id }) => id === 'leads-matter')?.answered).toEqual({
    by: 'cleared',
    entry: script.run.entries.at(-1)?.id,
  })
})

test('one that is held itself, or came before, settles nothing', () => {
  const { judged } = onBoth('1.8')
  expect(
    judged().remarks.find(({ id, severity }) => id === 'leads-matter' && severity === 'stop')?.answered,
  ).toBeUndefined()
  const script = new Script(canister, { instruments: kit.filter(({ id }) => id === 'k4' || id === 'm2') })
  script.put({ kind: 'isolation', state: 'loose' }).put({ kind: 'temperature', part: 'room', roomC: 20 })
  script.read('primary', '1.8', { instrument: 'k4' }).read('primary', '1.83', { instrument: 'm2' })
  const stops = runState(script.run).remarks.filter(({ severity, answered }) => severity === 'stop' && !answered)
  expect(stops.length).toBeGreaterThan(1)
})
