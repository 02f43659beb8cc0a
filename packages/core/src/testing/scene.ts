import { pointsMade } from '../asked'
import type { CauseInput } from '../causes'
import type { Relation, Run } from '../document'
import {
  placeNow,
  prepareCard,
  type Bench,
  type Evaluation,
  type PreparedCard,
  type PreparedCheck,
  type Tape,
} from '../judgement'
import type { Closing } from '../sense'
import type { RunState } from '../state'
import { chargingCard, twinCard } from './cards'
import { armatureCard, compressorCard, leadsCard, pickupCard, relayCard, senderCard, valveCard } from './plainCards'
import { Script } from './script'

/** A run judged, with what its pieces are asked by: for the examples that the doc comments give, and for tests. */
export interface Scene {
  run: Run
  state: RunState
  bench: Bench
  tape: Tape
  prepared: PreparedCard
  /** every reading judged, in the order taken */
  all: Evaluation[]
  /** the last reading of a check */
  of: (check: string) => Evaluation
  check: (id: string) => PreparedCheck
  relation: <Kind extends Relation['kind']>(kind: Kind) => Extract<Relation, { kind: Kind }>
  standing: (check: string) => Evaluation[]
  /** what the rules at the end of a run are asked with */
  closing: Closing
  /** what the causes are looked for in */
  causing: CauseInput
}

export function sceneOf(script: Script): Scene {
  const state = script.state()
  const { run, tape, evaluations } = state
  const prepared = prepareCard(run.card, run.unit, placeNow(tape))
  const all = [...evaluations.values()]
  const found = <T>(one: T | undefined, what: string): T => {
    if (one === undefined) throw new Error(`The scene has no ${what}.`)
    return one
  }
  return {
    run,
    state,
    bench: { run, prepared, tape },
    tape,
    prepared,
    all,
    of: (id) => found(all.filter(({ check }) => check.id === id).at(-1), id),
    check: (id) => found(prepared.checks.get(id), id),
    relation: <Kind extends Relation['kind']>(kind: Kind) =>
      found(
        run.card.relations.find((one): one is Extract<Relation, { kind: Kind }> => one.kind === kind),
        kind,
      ),
    closing: {
      bench: { run, prepared, tape },
      checks: state.checks,
      all,
      noFaultFound: state.finding.word === 'no-fault-found',
      stood: () => true,
    },
    causing: {
      prepared,
      checks: state.checks,
      relations: state.relations,
      faults: state.finding.faults,
      explained: state.explained,
      points: pointsMade(run.entries),
    },
    standing: (id) => all.filter(({ check, entry }) => check.id === id && !tape.gone.has(entry.id)),
  }
}

const twin = (low: string): Script =>
  new Script(twinCard()).ready().read('low', low).read('high', '36.5').read('series', '358.4').read('trigger', '92')

/** Small runs that examples ask of; each is made anew. */
export const scenes = {
  /** the 18 twin, every figure right */
  sound: (): Scene => sceneOf(twin('322')),
  /** its low-speed coil reads low */
  low: (): Scene => sceneOf(new Script(twinCard()).ready().read('low', '238')),
  /** its high-speed coil read high, and right when it was taken again */
  retaken: (): Scene => sceneOf(new Script(twinCard()).ready().read('high', '52.1').again('high', '36.5')),
  /** a charging stator’s three legs */
  legs: (): Scene => sceneOf(new Script(chargingCard()).ready().read('uv', '.62').read('vw', '.63').read('wu', '.62')),
  /** a compressor of run and start winding, its pins read pair by pair */
  pins: (): Scene => {
    const pair = (a: string, b: string) => ({ pair: [a, b] as [string, string] })
    const script = new Script(compressorCard()).ready()
    return sceneOf(
      script
        .read('pins', '4.9', pair('C', 'R'))
        .read('pins', '11.7', pair('C', 'S'))
        .read('pins', '16.6', pair('R', 'S')),
    )
  },
  /** eight bars, the fourth low */
  bars: (): Scene => {
    const script = new Script(armatureCard()).ready()
    for (const [i, text] of ['.41', '.42', '.41', '.30', '.42', '.41', '.41', '.42'].entries())
      script.read('bars', text, { index: i + 1 })
    return sceneOf(script)
  },
  /** a lead of 0.4 m */
  lead: (): Scene => sceneOf(new Script(leadsCard()).ready().read('still', '6.1k', { index: 1, x: 0.4 })),
  /** a sender at half its travel */
  sender: (): Scene => sceneOf(new Script(senderCard()).ready().read('travel', '72', { x: 50 })),
  /** a valve’s coil, and what it draws from 24 V */
  valve: (): Scene =>
    sceneOf(
      new Script(valveCard())
        .ready()
        .read('coil', '8.0')
        .put({ kind: 'supply', text: '24.0', volts: 24, u: 0.1, while: 'on' })
        .read('draw', '2.9'),
    ),
  /** a changeover relay, its contacts read at rest and driven */
  relay: (): Scene => {
    const script = new Script(relayCard()).ready().read('coil', '90')
    const drive = { plus: '85', minus: '86' }
    const contact = (check: string, a: string, b: string, text: string) =>
      script.read(check, text, { pair: [a, b], conditions: { drive: check === 'rest' ? null : drive } })
    contact('rest', '30', '87a', '.1')
    contact('rest', '30', '87', 'OL')
    contact('driven', '30', '87', '.1')
    contact('driven', '30', '87a', 'OL')
    return sceneOf(script)
  },
  /** a pickup’s wires, two pairs of them read */
  pickup: (): Scene =>
    sceneOf(
      new Script(pickupCard())
        .ready()
        .read('wires', '4.0k', { pair: ['A', 'B'] })
        .read('wires', '5.2k', { pair: ['D', 'E'] }),
    ),
}
