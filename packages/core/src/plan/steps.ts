import type { CautionId } from '../document'
import type { NeededPoint, PreparedCard, PreparedCheck } from '../judgement'

export type StepGroup = 'meet' | 'safe' | 'leads' | 'windings' | 'ground' | 'act' | 'finding'

/** One thing to do, in working order. `id` is stable for a card, so that a run is left and entered at the same step. */
export type Step = { id: string; group: StepGroup; cautions: CautionId[] } & (
  | { kind: 'look'; check?: string; place: string }
  | { kind: 'isolate' }
  | { kind: 'temperature' }
  | { kind: 'leads' }
  | { kind: 'frame-proof' }
  | { kind: 'reading'; check: string; point: NeededPoint; required: boolean }
  | { kind: 'answer'; check: string; required: boolean }
  | { kind: 'finding' }
)

const running: CautionId[] = ['running-engine', 'hot-exhaust']
const byPair = new Set(['resistance', 'continuity', 'ac-output', 'dc-output'])

/**
 * The ordered steps of a run: meet the part, make safe, leads, windings, ground, does it act, finding. Pairs come in an order
 * that keeps one clip where it is for as long as possible; a whole comes after its parts.
 */
export function planSteps(prepared: PreparedCard): Step[] {
  const steps = known.get(prepared) ?? orderSteps(prepared)
  known.set(prepared, steps)
  return steps
}

const known = new WeakMap<PreparedCard, Step[]>()

function orderSteps(prepared: PreparedCard): Step[] {
  const { card } = prepared
  const checks = [...prepared.checks.values()]
  const looks = checks.filter(({ check }) => check.kind === 'look')
  const paired = checks.filter((one) => byPair.has(one.check.kind) && one.points.length > 0)
  const acting = paired.filter(({ check }) => check.kind === 'ac-output' || check.kind === 'dc-output')
  const ground = paired.filter((one) => toGround(one) && !acting.includes(one))
  const windings = paired.filter((one) => !acting.includes(one) && !ground.includes(one))
  const answers = checks.filter(({ check }) => check.kind === 'act' || check.kind === 'lamp')
  const cold = card.care.cautions.filter((caution) => !running.includes(caution))
  const atSpeed = card.care.cautions.filter((caution) => running.includes(caution))
  return [
    ...(looks.length === 0 ? [lookStep('the part')] : looks.map((one) => lookStep(placeOf(one), one.check.id))),
    { id: 'isolate', kind: 'isolate', group: 'safe', cautions: cold },
    { id: 'temperature', kind: 'temperature', group: 'safe', cautions: [] },
    { id: 'leads', kind: 'leads', group: 'leads', cautions: [] },
    ...clipOrder(windings).map(({ check, point }) => readingStep(check, point, 'windings')),
    ...(ground.length > 0 ? [{ id: 'frame-proof', kind: 'frame-proof', group: 'ground', cautions: [] } as Step] : []),
    ...clipOrder(ground).map(({ check, point }) => readingStep(check, point, 'ground')),
    ...clipOrder(acting).map(({ check, point }) => readingStep(check, point, 'act', atSpeed)),
    ...answers.map(({ check }): Step => ({
      id: check.id,
      kind: 'answer',
      check: check.id,
      required: check.required,
      group: 'act',
      cautions: [],
    })),
    { id: 'finding', kind: 'finding', group: 'finding', cautions: [] },
  ]
}

/** A test to frame that expects no path; a lead that belongs to frame is read with the windings. */
const toGround = ({ check, points }: PreparedCheck): boolean =>
  points.some(({ pair }) => pair.includes('frame')) &&
  check.limits.some(({ limit }) => limit !== 'derived' && limit.kind === 'open')

const lookStep = (place: string, check?: string): Step => ({
  id: check ?? 'look',
  kind: 'look',
  place,
  group: 'meet',
  cautions: [],
  ...(check === undefined ? {} : { check }),
})

const placeOf = ({ check }: PreparedCheck): string => ('place' in check.at ? check.at.place : check.label)

function readingStep(check: PreparedCheck, point: NeededPoint, group: StepGroup, cautions: CautionId[] = []): Step {
  const several = check.points.length > 1
  return {
    id: several ? `${check.check.id}:${point.pair.join('-')}` : check.check.id,
    kind: 'reading',
    check: check.check.id,
    point,
    required: check.check.required,
    group,
    cautions,
  }
}

interface Placed {
  check: PreparedCheck
  point: NeededPoint
}

/** Card order, but of what is left always a pair that shares a clip with the last one, narrower checks before wider ones. */
function clipOrder(checks: PreparedCheck[]): Placed[] {
  const left: Placed[] = checks.flatMap((check) => check.points.map((point) => ({ check, point })))
  const ordered: Placed[] = []
  const breadth = ({ check }: Placed) => (check.toFrame ? 0 : Math.max(1, check.touches.size))
  while (left.length > 0) {
    const last = ordered.at(-1)
    const least = Math.min(...left.map(breadth))
    const sharing = left.filter((one) => last?.point.pair.some((terminal) => one.point.pair.includes(terminal)))
    const next =
      sharing.find((one) => breadth(one) === Math.min(...sharing.map(breadth))) ??
      left.find((one) => breadth(one) === least)
    if (!next) break
    ordered.push(next)
    left.splice(left.indexOf(next), 1)
  }
  return ordered
}
