import {
  metricSizes,
  planCoil,
  turnsLike,
  type CoilPlan,
  type CoilShape,
  type CoilState,
  type KnownOhms,
} from '@sure-spool/core'
import { computed, reactive, watch } from 'vue'
import { firstOf, secondOf } from './planWords'
import type { WoundAlike } from './useWoundAlike'
import { nextWires, overallOf } from './wires'

/** What the fields of a plan hold while they are typed. */
interface Form {
  aim: 'turns' | 'ohms' | 'henries' | 'output'
  turns?: number | undefined
  ohms20?: number | undefined
  henries?: number | undefined
  hadHenries?: number | undefined
  hadTurns?: number | undefined
  outputPct?: number | undefined
  kind: 'mean' | 'rule' | CoilShape['kind']
  a?: number | undefined
  b?: number | undefined
  traverseMm?: number | undefined
  windowMm?: number | undefined
  packing?: number | undefined
  awg?: number | undefined
  bareMm?: number | undefined
  build?: 'single' | 'heavy' | undefined
  from: CoilPlan['from']
  why: string
}

type Room = Pick<CoilPlan, 'shape' | 'traverseMm' | 'windowMm' | 'packing' | 'meanTurnMm' | 'ohmsPerTurn'>

/** A room as the fields take it. */
function roomFields({ shape, traverseMm, windowMm, packing, meanTurnMm, ohmsPerTurn }: Room) {
  const isRule = ohmsPerTurn !== undefined
  return {
    kind: shape?.kind ?? (isRule ? ('rule' as const) : ('mean' as const)),
    a: shape ? firstOf(shape) : isRule ? 1000 * ohmsPerTurn : meanTurnMm,
    b: shape && secondOf(shape),
    traverseMm,
    windowMm,
    packing,
  }
}

function formOf({ original, plan }: CoilState): Form {
  const known = plan ?? original
  const { wire = {} } = known
  return {
    aim: plan && plan.turns === undefined ? 'ohms' : 'turns',
    turns: known.turns,
    ohms20: known.ohms20,
    henries: known.henries,
    hadHenries: original.henries,
    hadTurns: original.turns,
    outputPct: 100,
    ...roomFields(plan ?? {}),
    awg: wire.awg,
    bareMm: wire.bareMm,
    build: wire.build,
    from: plan?.from ?? 'original',
    why: plan?.why ?? '',
  }
}

const without = <T extends object>(one: T): T =>
  Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined)) as T

/** The fields of a coil's plan, and what they come to while they are typed. */
export function usePlanForm(coil: () => CoilState, sisters: () => number) {
  const form = reactive<Form>(formOf(coil()))
  watch(
    () => coil().coil.id,
    () => Object.assign(form, formOf(coil())),
  )
  const shape = computed<CoilShape | undefined>(() => {
    const { kind, a, b } = form
    if (a === undefined || kind === 'mean' || kind === 'rule') return undefined
    if (kind === 'round') return { kind, coreMm: a }
    if (b === undefined) return undefined
    return kind === 'racetrack' ? { kind, coreLengthMm: a, coreWidthMm: b } : { kind, a, b }
  })
  const wire = computed(() => {
    const size = form.awg === undefined ? (form.bareMm === undefined ? {} : { bareMm: form.bareMm }) : { awg: form.awg }
    const { build } = form
    const overallMm = build && overallOf({ ...size, build })
    return { ...size, ...(build ? { build } : {}), ...(overallMm === undefined ? {} : { overallMm }) }
  })
  const hasCore = computed(() => form.kind !== 'mean' && form.kind !== 'rule')
  const room = computed<Room>(() => {
    const { a, kind, traverseMm, windowMm, packing } = form
    if (kind === 'mean') return a === undefined ? {} : { meanTurnMm: a }
    if (kind === 'rule') return a === undefined ? {} : { ohmsPerTurn: a / 1000 }
    return without({ shape: shape.value, traverseMm, windowMm, packing } as Room)
  })
  /** turns that bring it where it is aimed, by what so many turns had */
  const turnsAlike = computed(() => {
    const { hadTurns: turns = 0, henries = 0, hadHenries = 0, outputPct = 0 } = form
    const told =
      form.aim === 'henries'
        ? turnsLike({ of: 'inductance', wanted: henries, had: hadHenries, turns })
        : turnsLike({ of: 'output', wanted: outputPct, had: 100, turns })
    return told === null ? {} : { turns: Math.round(told) }
  })
  const aim = computed<{ turns?: number; ohms20?: number }>(() =>
    form.aim === 'turns'
      ? without({ turns: form.turns } as { turns?: number })
      : form.aim === 'ohms'
        ? without({ ohms20: form.ohms20 } as { ohms20?: number })
        : turnsAlike.value,
  )
  /** how high it builds is told by what the film adds */
  const planned = computed(() =>
    hasCore.value && !form.build ? null : planCoil({ ...room.value, ...aim.value, wire: wire.value }),
  )
  /** the same aim in the next wires */
  const beside = computed(() =>
    nextWires(wire.value, metricSizes).flatMap((size) => {
      const one = planCoil({
        ...room.value,
        ...aim.value,
        wire: { ...size, ...(form.build ? { build: form.build } : {}) },
      })
      const chosen = size.awg === wire.value.awg && size.bareMm === wire.value.bareMm
      return one ? [{ size, chosen, ...one }] : []
    }),
  )
  /** turns that the wire which came off makes round this room */
  const byWire = computed(() => {
    const { metres } = coil().left
    const mean = planned.value?.meanTurnMm ?? room.value.meanTurnMm
    return metres === undefined || mean === undefined || !(mean > 0) ? undefined : Math.round((1000 * metres) / mean)
  })

  /** One coil of a winding that is one coil; of several each has its share. */
  function aimAt({ ohms20, from, of }: KnownOhms): void {
    Object.assign(form, { aim: 'ohms', ohms20: ohms20 / sisters(), turns: undefined, from, why: of.join(', ') })
  }
  /** As another of the model was wound. */
  function asWound({ turns, wire: taken, plan, tag }: WoundAlike): void {
    const { awg, bareMm, build } = taken ?? {}
    Object.assign(form, { aim: 'turns', turns, awg, bareMm, build, from: 'rewinds', why: tag })
    if (plan) Object.assign(form, roomFields(plan))
  }
  function asCameOff(): void {
    Object.assign(form, { aim: 'turns', turns: byWire.value, from: 'original', why: 'by the wire that came off' })
  }

  /** @returns the plan as it is kept; undefined where it is too little */
  function made(): CoilPlan | undefined {
    if (!planned.value) return undefined
    const { lay, seenFrom, start, finish } = coil().original
    return {
      ...without({ lay, seenFrom, start, finish } as Pick<CoilPlan, 'lay' | 'seenFrom' | 'start' | 'finish'>),
      ...room.value,
      wire: wire.value,
      turns: form.aim === 'turns' ? planned.value.turns : Math.round(planned.value.turns),
      ...(form.aim === 'ohms' && form.ohms20 !== undefined ? { ohms20: form.ohms20 } : {}),
      ...(form.aim === 'henries' && form.henries !== undefined ? { henries: form.henries } : {}),
      from: form.from,
      why: form.why,
    }
  }
  return { form, wire, hasCore, planned, beside, byWire, aimAt, asWound, asCameOff, made }
}
