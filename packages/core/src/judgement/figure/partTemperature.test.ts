import { expect, test } from '@jest/globals'
import { Script, twinCard } from '../../testing'

const minutes = (n: number) => new Date(Date.parse('2026-03-02T09:00:00.000Z') + n * 60_000).toISOString()
/** The temperature that a winding was read at, where another was measured so many minutes later. */
const applied = (later: number, between: (script: Script) => Script = (script) => script, room = true) => {
  const script = new Script(twinCard()).put({ kind: 'isolation', state: 'loose' })
  if (room) script.put({ kind: 'temperature', part: 'room', roomC: 17 })
  script.read('low', '322')
  const at = script.run.entries.length - 1
  between(script).put({ kind: 'temperature', part: 'measured', partC: 65 })
  script.run.entries.forEach((entry, i) => (entry.at = minutes(i <= at ? 0 : later)))
  const temperature = script.state().checks.find(({ check }) => check.id === 'low')?.points[0]?.evaluation?.temperature
  return [temperature?.from, temperature?.partC]
}
const decided = (script: Script) => script.put({ kind: 'decision', what: 'more-tests', why: 'hot' })

test('a thermometer on the part soon after a reading is of that reading', () => {
  expect(applied(1)).toEqual(['measured', 65])
  expect(applied(20)).toEqual(['measured', 65])
})

test('long after it, the room it lay in says more; where no room is known, the thermometer does', () => {
  expect(applied(20.1)).toEqual(['room', 17])
  expect(applied(20.1, undefined, false)).toEqual(['measured', 65])
})

test('measured after a decision, the part was warmed since', () => {
  expect(applied(1, decided)).toEqual(['room', 17])
  expect(applied(1, decided, false)[0]).toBe('assumed')
})

test('said to be hot since, it is of what comes, however soon', () => {
  const script = new Script(twinCard()).put({ kind: 'isolation', state: 'loose' })
  script.put({ kind: 'temperature', part: 'measured', partC: 17 }).read('low', '318')
  script.put({ kind: 'temperature', part: 'hot', partC: 65 }).read('high', '42')
  const temperatures = script.state().checks.map(({ points }) => points[0]?.evaluation?.temperature)
  expect(temperatures.flatMap((one) => one?.partC ?? [])).toEqual([17, 65])
})

test('what was measured before a reading is of it, however long ago and whatever was decided', () => {
  const script = new Script(twinCard()).put({ kind: 'isolation', state: 'loose' })
  script.put({ kind: 'temperature', part: 'measured', partC: 24 })
  decided(script).read('low', '322')
  script.run.entries.forEach((entry, i, all) => (entry.at = minutes(i === all.length - 1 ? 90 : 0)))
  const [point] = script.state().checks.find(({ check }) => check.id === 'low')?.points ?? []
  expect(point?.evaluation?.temperature).toMatchObject({ from: 'measured', partC: 24 })
})
