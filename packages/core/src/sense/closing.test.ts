import { describe, expect, test } from '@jest/globals'
import {
  chargingCard,
  plainCheck,
  pickupCard,
  pocketMeter,
  relayCard,
  sceneOf,
  Script,
  twinCard,
  valveCard,
} from '../testing'
import { but, butBand, butCheck, holdClauses, noFigure } from '../testing/clauses'
import * as between from './betweenRules'
import type { Closing, ClosingRule } from './closing'
import * as closing from './closingRules'
import * as comparing from './comparingRules'
import { gaugesTooNear, oddPoles, winderDirection } from './rewindRules'

const said = (rule: ClosingRule, script: Script, more: Partial<Closing> = {}) =>
  rule({ ...sceneOf(script).closing, ...more })?.severity ?? null
const twin = () => new Script(twinCard()).ready()
const whole = () =>
  twin().read('low', '322').read('high', '36.5').read('series', '358.4').read('trigger', '91').framed('O', 'V')
const answer = (script: Script, check: string, of: string) =>
  script.put({
    kind: 'reading',
    check,
    reading: { taken: 'typed', text: of, decimalComma: false, kind: 'answer', answer: of },
  })

describe('what a run ends without', () => {
  test('a group that nobody tested to frame, or a pin that nobody touched', () => {
    expect(said(closing.windingsUntested, whole())).toBeNull()
    expect(said(closing.windingsUntested, twin().read('low', '322').framed('O'))).toBe('warn')
    expect(closing.windingsUntested(sceneOf(twin().framed('O')).closing)?.params['groups']).toBe('V')
    expect(closing.windingsUntested(sceneOf(twin().framed('O', 'V')).closing)?.params['pins']).toContain('G')
  })

  test('a group is named by a terminal that a probe reaches, not by its star point', () => {
    const legs = new Script(chargingCard()).ready().read('uv', '.62')
    expect(closing.windingsUntested(sceneOf(legs).closing)?.params['groups']).toBe('U P')
  })

  test('a test at work, on a family whose ohms miss shorted turns', () => {
    expect(said(closing.staticOnly, whole())).toBe('note')
    expect(said(closing.staticOnly, whole(), { noFaultFound: false })).toBeNull()
    expect(
      said(closing.staticOnly, new Script(valveCard()).ready().read('coil', '8.00'), { noFaultFound: true }),
    ).toBeNull()
    const volts = twinCard()
    volts.checks.push(plainCheck('volts', 'ac-output', { pair: ['O', 'G'] }, { kind: 'atLeast', value: 2 }))
    const run = (text: string) =>
      said(closing.staticOnly, new Script(volts).ready().read('volts', text), { noFaultFound: true })
    expect([run('3.10'), run('0.10')]).toEqual([null, 'note'])
  })

  test('the lead flexed, where the complaint comes and goes', () => {
    const complaint = (complaint: string[]) => new Script(twinCard(), { unit: { complaint } as never }).ready()
    expect(said(closing.flexTheLead, complaint(['intermittent']).read('low', '322'))).toBe('warn')
    expect(said(closing.flexTheLead, complaint(['dead']).read('low', '322'))).toBeNull()
    const bare = { ...twinCard(), terminals: twinCard().terminals.map(({ wire: _wire, ...one }) => one) }
    expect(
      said(closing.flexTheLead, new Script(bare, { unit: { complaint: ['intermittent'] } as never }).ready()),
    ).toBeNull()
    const flexed = complaint(['intermittent']).read('low', '322', { conditions: { state: ['flexed'] } })
    expect(said(closing.flexTheLead, flexed)).toBeNull()
  })

  test('what failed, read again after the work', () => {
    const worked = () => twin().read('low', '240').put({ kind: 'work', what: 'rewind', place: 'low' })
    expect(said(closing.retestMissing, worked())).toBe('stop')
    expect(said(closing.retestMissing, worked().read('low', '318'))).toBeNull()
    expect(said(closing.retestMissing, twin().read('low', '240'))).toBeNull()
    expect(said(closing.retestMissing, worked(), { stood: () => false })).toBeNull()
  })

  test('a ground test after a rewind, whatever was fixed later', () => {
    const rewound = () => whole().put({ kind: 'work', what: 'rewind', place: 'low' })
    expect(said(closing.noGroundAfter, rewound())).toBe('stop')
    expect(said(closing.noGroundAfter, rewound().framed('O'))).toBeNull()
    expect(said(closing.noGroundAfter, rewound().framed('O').put({ kind: 'work', what: 'fix', place: 'low' }))).toBe(
      'stop',
    )
    expect(said(closing.noGroundAfter, whole().put({ kind: 'work', what: 'fix', place: 'low' }))).toBeNull()
    expect(
      said(closing.noGroundAfter, new Script(pickupCard()).put({ kind: 'work', what: 'rewind', place: 'north' })),
    ).toBeNull()
  })

  test('contacts, where it only clicked', () => {
    const relay = (click: string) => {
      const card = relayCard()
      card.checks.push(
        plainCheck('click', 'act', { place: 'by ear' }, { kind: 'answer', of: ['yes', 'no'], right: ['yes'] }),
      )
      return answer(new Script(card).ready().read('coil', '91.0'), 'click', click)
    }
    expect(closing.clickOnly(sceneOf(relay('yes')).closing)).toMatchObject({
      severity: 'warn',
      params: { checks: 'rest driven' },
    })
    expect(said(closing.clickOnly, relay('no'))).toBeNull()
    expect(said(closing.clickOnly, answer(new Script(valveCard()).ready(), 'click', 'clicks'))).toBeNull()
  })

  test('a decision that blames shorted turns on what reads high', () => {
    const decided = (text: string, why: string, about?: string[]) =>
      said(
        closing.highIsNotShorted,
        twin()
          .read('low', text)
          .put({ kind: 'decision', what: 'rewind', why, ...(about ? { about } : {}) }),
      )
    expect(decided('390', 'shorted turns', ['low'])).toBe('warn')
    expect(decided('390', 'Shorted.')).toBe('warn')
    expect(decided('OL 2M', 'shorted turns', ['low'])).toBe('warn')
    expect(decided('390', 'worn', ['low'])).toBeNull()
    expect(decided('240', 'shorted turns', ['low'])).toBeNull()
    expect(decided('390', 'shorted turns', ['trigger'])).toBeNull()
    expect(said(closing.highIsNotShorted, twin().read('low', '390'))).toBeNull()
    const noted = (words: string, about?: string) =>
      said(
        closing.highIsNotShorted,
        twin()
          .read('low', '390')
          .put({ kind: 'note', words, ...(about === undefined ? {} : { about }) }),
      )
    expect(noted('shorted in itself')).toBe('warn')
    expect(noted('shorted in itself', 'low')).toBe('warn')
    expect(noted('shorted in itself', 'trigger')).toBeNull()
    for (const words of ['no shorts seen', 'short of time', 'a short lead']) expect(noted(words)).toBeNull()
  })
})

describe('rewinding', () => {
  test('one pole cannot fail to alternate; three can', () => {
    expect([oddPoles({ poles: 1 }), oddPoles({ poles: 2 })]).toEqual([null, null])
    expect(oddPoles({ poles: 3 })).toMatchObject({ id: 'odd-poles', severity: 'stop', params: { poles: 3 } })
    expect(gaugesTooNear({ candidates: [] })).toBeNull()
    expect(winderDirection({ settled: false })?.severity).toBe('stop')
  })
})

const pickup = () => {
  const card = pickupCard()
  card.checks.push(plainCheck('ohms', 'resistance', { pair: ['A', 'B'] }, { kind: 'band', min: 3600, max: 4400 }))
  return new Script(card)
    .ready()
    .read('ohms', 'OL 20M')
    .read('henries', '0.4', { conditions: { hertz: 120 } })
}
const ratio = (text = '42.5', measured = false) => {
  const temperature = measured
    ? ({ kind: 'temperature', part: 'measured', partC: 20 } as const)
    : ({ kind: 'temperature', part: 'room', roomC: 20 } as const)
  return new Script(twinCard())
    .put({ kind: 'isolation', state: 'loose' })
    .put(temperature)
    .put({ kind: 'lead-check', instrument: pocketMeter.id, text: '0.1', ohms: 0, u: 0.018, how: 'hardware' })
    .read('low', '292')
    .read('high', text)
}

holdClauses('closing', [
  [
    comparing.acOnOpen,
    pickup,
    {
      'ohms again': butCheck({ kind: 'resistance' }),
      'another pair': but({ pair: ['D', 'E'] }),
      'no pair': but({ pair: undefined as never }),
      'nothing read before': (moment) => ({ ...moment, before: [] }),
      'it was read in ohms and is not open': (moment) => ({
        ...moment,
        before: moment.before.map((one) => ({ ...one, bound: 200, reason: 'above-maximum' as const })),
      }),
      'open is what was expected': (moment) => ({
        ...moment,
        before: moment.before.map((one) => ({
          ...one,
          limit: { ...one.limit, expectOpen: { atLeast: 1e6 } } as never,
        })),
      }),
    },
  ],
  [
    between.sisterRatio,
    () => ratio(),
    {
      'it holds': () => ratio('33.5'),
      'the part was measured': () => ratio('42.5', true),
      'another relation': (moment) => ({
        ...moment,
        relations: moment.relations.map((one) => ({ ...one, relation: { ...one.relation, kind: 'equal' } as never })),
      }),
      'one is off by more than warmth could do': (moment) => ({
        ...moment,
        relations: moment.relations.map((one) => ({
          ...one,
          members: one.members.map((member) => but({ net: 900 })({ ...moment, evaluation: member }).evaluation),
        })),
      }),
      'one has no figure': (moment) => ({
        ...moment,
        relations: moment.relations.map((one) => ({
          ...one,
          members: one.members.map((member) => noFigure({ ...moment, evaluation: member }).evaluation),
        })),
      }),
      'one is no metal': (moment) => ({
        ...moment,
        relations: moment.relations.map((one) => ({
          ...one,
          members: one.members.map(
            (member) => butCheck({ material: 'resistive' })({ ...moment, evaluation: member }).evaluation,
          ),
        })),
      }),
      'a band that heat and cold leave': (moment) => ({
        ...moment,
        relations: moment.relations.map((one) => ({
          ...one,
          members: one.members.map(
            (member) => butBand({ min: 1, max: 2 })({ ...moment, evaluation: member }).evaluation,
          ),
        })),
      }),
    },
  ],
])
