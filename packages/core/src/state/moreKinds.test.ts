import { describe, expect, test } from '@jest/globals'
import type { Run } from '../document'
import {
  armatureCard,
  insulationTester,
  leadsCard,
  pickupCard,
  plainCard,
  plainCheck,
  pocketMeter,
  Script,
  senderCard,
  valveCard,
} from '../testing'
import { runState } from './runState'
import { summarise } from './summary'

const told = (script: Script) => summarise(script.state())
const row = (script: Script, check: string) => {
  const found = told(script).verdicts.find((one) => one.check === check)
  return [found?.verdict, found?.reason]
}

describe('leads by length', () => {
  const still = (index: number, text: string, x: number) => ({ index, text, x })
  const leads = (...read: ReturnType<typeof still>[]) => {
    const script = new Script(leadsCard()).ready()
    for (const { index, text, x } of read) script.read('still', text, { index, x })
    return script
  }

  test('each is judged over its own length', () => {
    const script = leads(still(1, '6.2k', 0.41), still(2, '12.1k', 0.41), still(3, '9.00k', 0.6))
    const points = told(script).verdicts[0]?.points.map((one) => [one.index, one.verdict])
    expect(points).toEqual([
      [1, 'within'],
      [2, 'outside'],
      [3, 'within'],
    ])
  })

  test('without a length nothing is said', () => {
    const script = new Script(leadsCard()).ready().read('still', '6.2k', { index: 1 })
    expect(told(script).verdicts[0]?.points[0]).toMatchObject({ verdict: 'none', reason: 'place-missing' })
  })

  test('a lead that drops out while it is bent is unsteady, out when clips saw it twice', () => {
    const bent = { index: 1, x: 0.41, drops: 2, conditions: { state: ['flexed'] }, contact: 'clips' as const }
    const script = new Script(leadsCard()).ready().read('bent', '6.2k', bent)
    expect(told(script).verdicts[1]?.points[0]).toMatchObject({ verdict: 'outside', reason: 'unsteady' })
    expect(told(script).finding).toBe('undecided')
    script.read('bent', '6.2k', bent)
    expect(told(script).finding).toBe('fault-found')
  })
})

describe('a sender on its curve', () => {
  const at = (...read: [x: number, text: string][]) => {
    const script = new Script(senderCard()).ready()
    for (const [x, text] of read) script.read('travel', text, { x })
    return script
  }

  test('two ends and a place between are needed', () => {
    expect(row(at([0, '10.2']), 'travel')).toEqual(['none', 'not-read'])
    expect(row(at([0, '10.2'], [50, '73'], [100, '188']), 'travel')).toEqual(['within', undefined])
  })

  test('a place between the points is judged on the line between them', () => {
    expect(row(at([0, '10.2'], [25, '60'], [100, '188']), 'travel')).toEqual(['outside', 'above-maximum'])
  })

  test('a place off the curve is kept and stays out of the verdict and the finding', () => {
    const script = at([0, '10.2'], [50, '73'], [100, '188'], [120, '230'])
    expect(row(script, 'travel')).toEqual(['within', undefined])
    expect(told(script).finding).toBe('no-fault-found')
  })
})

describe('insulation', () => {
  const shell = { pair: ['1', 'frame'] as [string, string] }
  const tester = (text: string) =>
    new Script(valveCard(), { instruments: [insulationTester] }).ready().read('shell', text, shell)

  test('at its volts is judged by ohms and volts', () => {
    expect(row(tester('512V 2.1G'), 'shell')).toEqual(['within', 'insulation-holds'])
    expect(row(tester('512V 4.2M'), 'shell')).toEqual(['outside', 'leakage'])
    expect(row(tester('188V 2.1G'), 'shell')).toEqual(['none', 'test-voltage-low'])
    expect(row(tester('2.1G'), 'shell')).toEqual(['none', 'test-voltage-unknown'])
    expect(row(tester('~512V 2.1G'), 'shell')).toEqual(['none', 'hold-until-settled'])
  })

  test('no path on a multimeter is a weaker test, and holds the finding', () => {
    const script = new Script(valveCard()).ready().read('shell', 'OL 400M', shell)
    expect(row(script, 'shell')).toEqual(['borderline', 'low-voltage-test'])
    expect(told(script).finding).toBe('undecided')
    expect(row(new Script(valveCard()).ready().read('shell', 'OL 20M', shell), 'shell')).toEqual([
      'none',
      'range-too-low',
    ])
  })
})

describe('a draw', () => {
  const drawn = (amps: string, ...supplies: { volts: number; while: 'on' | 'off' }[]) => {
    const script = new Script(valveCard()).ready().read('coil', '8.0', { contact: 'clips' })
    for (const supply of supplies) script.put({ kind: 'supply', text: String(supply.volts), u: 0.05, ...supply })
    return script.read('draw', amps)
  }
  const relation = (script: Script) => told(script).relations[0]?.verdict

  test('that volts over ohms explain is within', () => {
    expect(relation(drawn('1.500', { volts: 12, while: 'on' }))).toBe('within')
  })

  test('without any volts is not judged', () => {
    expect(relation(drawn('1.500'))).toBe('none')
  })

  test('that is low stays open while warmth or a sagging supply could explain it', () => {
    expect(relation(drawn('1.100', { volts: 12, while: 'on' }))).toBe('borderline')
    expect(relation(drawn('0.400', { volts: 12, while: 'off' }))).toBe('borderline')
  })

  test('that no winding could explain fails, once it was read twice', () => {
    const script = drawn('0.400', { volts: 12, while: 'on' })
    expect(relation(script)).toBe('outside')
    const faulty = () => script.state().finding.faults.some((fault) => fault.relation === 'r1')
    expect(faulty()).toBe(false)
    script.read('draw', '0.400')
    expect(faulty()).toBe(true)
  })

  test('behind a lamp stands for itself: the draw is of amperes through the winding alone', () => {
    const script = drawn('1.500', { volts: 12, while: 'on' })
    const lamp = { conditions: { lamp: { volts: 24, watts: 5 } } }
    expect(relation(script.read('draw', '0.150', lamp))).toBe('within')
    const alone = drawn('1.500', { volts: 12, while: 'on' })
    expect(relation(alone.read('draw', '0.150'))).toBe('outside')
  })

  test('that is high fails at once', () => {
    const script = drawn('2.400', { volts: 12, while: 'on' })
    expect(script.state().finding.faults.map((fault) => fault.relation)).toContain('r1')
  })
})

describe('what is seen', () => {
  const seen = (check: string, answer: string) =>
    new Script(valveCard())
      .ready()
      .read('coil', '8.0', { contact: 'clips' })
      .put({
        kind: 'reading',
        check,
        reading: { taken: 'typed', text: answer, decimalComma: false, kind: 'answer', answer },
      })

  test('the right answer is within, a dark lamp wants a second look, a wrong one that no contact gives stands', () => {
    expect(row(seen('lamp', 'dim'), 'lamp')).toEqual(['within', undefined])
    expect(row(seen('lamp', 'dark'), 'lamp')).toEqual(['outside', 'wrong-answer'])
    expect(told(seen('lamp', 'dark')).finding).toBe('undecided')
    expect(told(seen('lamp', 'full')).finding).toBe('fault-found')
  })
})

describe('wires nobody has named', () => {
  const all = (ohms: Record<string, string>) => {
    const script = new Script(pickupCard()).ready()
    const wires = ['red', 'blue', 'green', 'white', 'bare']
    for (const [i, a] of wires.entries())
      for (const b of wires.slice(i + 1)) script.read('wires', ohms[`${a}-${b}`] ?? 'OL 20M', { pair: [a, b] })
    return script
  }

  test('fall into the card’s groups by size and value', () => {
    expect(row(all({ 'red-green': '5.15k', 'blue-white': '4.05k' }), 'wires')[0]).toBe('within')
  })

  test('with one value off are out by it', () => {
    expect(row(all({ 'red-green': '5.15k', 'blue-white': '2.9k' }), 'wires')).toEqual(['outside', 'below-minimum'])
  })

  test('with a winding dead are open, once the pairs left over are read twice', () => {
    const script = all({ 'red-green': '5.15k' })
    expect(row(script, 'wires')).toEqual(['outside', 'open-circuit'])
    expect(told(script).finding).toBe('undecided')
    for (const pair of [
      ['blue', 'white'],
      ['blue', 'bare'],
      ['white', 'bare'],
    ] as [string, string][])
      script.read('wires', 'OL 20M', { pair })
    expect(told(script).finding).toBe('fault-found')
  })

  test('joined where the card has two windings apart are short-circuited', () => {
    const joined = { 'red-green': '5.15k', 'blue-white': '4.05k', 'red-blue': '100', 'green-white': '9k' }
    expect(row(all({ ...joined, 'red-white': '4.1k', 'blue-green': '5.2k' }), 'wires')[0]).toBe('outside')
  })
})

describe('conditions', () => {
  test('a dynamic figure taken at another speed does not count, three percent is near enough', () => {
    const card = plainCard({
      family: 'speed-sensor',
      terminals: ['1', '2'].map((id) => ({ id, label: id, aliases: [] })),
      checks: [
        plainCheck(
          'volts',
          'ac-output',
          { pair: ['1', '2'] },
          { kind: 'atLeast', value: 2 },
          { conditions: { rpm: 1000 } },
        ),
        plainCheck(
          'henries',
          'inductance',
          { pair: ['1', '2'] },
          { kind: 'band', min: 1, max: 2 },
          { required: false },
        ),
      ],
    })
    const at = (rpm: number) => new Script(card).ready().read('volts', '3.1', { conditions: { rpm } })
    expect(row(at(1025), 'volts')[0]).toBe('within')
    expect(row(at(1200), 'volts')).toEqual(['none', 'conditions-not-met'])
    expect(row(new Script(card).ready().read('henries', '1.4'), 'henries')[0]).toBe('within')
  })
})

test('a set is judged the same however its entries came', () => {
  const script = new Script(armatureCard(), { instruments: [pocketMeter] }).ready()
  for (let i = 1; i <= 8; i++) script.read('bars', i === 3 ? '0.5' : '0.91', { index: i, contact: 'clips' })
  const turned: Run = { ...script.run, entries: [...script.run.entries].reverse() }
  expect(summarise(runState(turned))).toEqual(summarise(script.state()))
})
