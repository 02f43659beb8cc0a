import { isAsked } from '../asked'
import { onceFor, type CautionId, type Conditions } from '../document'
import type { PreparedCard, PreparedCheck } from '../judgement'
import { byCoil, type WorkOrder } from './byCoil'
import type { Step, StepGroup, StepPoint } from './step'

const running: CautionId[] = ['running-engine', 'hot-exhaust']
const powered = new Set(['current', 'lamp'])
const acting = new Set(['ac-output', 'dc-output', 'current', 'contacts', 'field', 'response'])
const answered = new Set(['act', 'lamp'])

/**
 * The ordered steps of a run: meet the part, make safe, leads, windings, ground, does it act, finding. Pairs come in an order
 * that keeps one clip where it is for as long as possible; a whole comes after its parts; what needs power comes last, what one
 * set-up serves together; what was asked besides stands behind all that the card asks.
 * @param first checks whose steps come before all other readings: those that failed this unit before
 * @param order test by test; or coil by coil, all that one winding wants before the next
 * @example
 * planSteps(prepareCard(twinCard())).map(({ kind }) => kind).slice(0, 4)
 * // [ 'look', 'isolate', 'temperature', 'leads' ]
 */
export function planSteps(
  prepared: PreparedCard,
  first: readonly string[] = noneFirst,
  order: WorkOrder = 'tests',
): Step[] {
  const steps = order === 'coils' ? coilsOf(prepared) : stepsOf(prepared)
  return first.length === 0 ? steps : brought(steps, new Set(first))
}

const noneFirst: readonly string[] = []
/** Steps that must stand before a reading of their group. */
const gates: Partial<Record<StepGroup, Step['kind']>> = { ground: 'frame-proof', act: 'supply' }

/** The steps of some checks ahead of the other readings, each with what must stand before it. */
function brought(steps: Step[], first: ReadonlySet<string>): Step[] {
  const wanted = steps.filter((step) => (step.kind === 'reading' || step.kind === 'answer') && first.has(step.check))
  const groups = new Set(wanted.map((step) => step.group))
  const needed = steps.filter((step) => groups.has(step.group) && gates[step.group] === step.kind)
  const ahead = (['windings', 'ground', 'act'] as const).flatMap((group) =>
    [...needed, ...wanted].filter((step) => step.group === group),
  )
  const start = steps.findIndex((step) => step.kind === 'leads') + 1
  const rest = steps.slice(start).filter((step) => !ahead.includes(step))
  return [...steps.slice(0, start), ...ahead, ...rest]
}

const stepsOf = onceFor(orderSteps)
const coilsOf = onceFor((prepared: PreparedCard) => byCoil(stepsOf(prepared), prepared))

function orderSteps(prepared: PreparedCard): Step[] {
  const { card } = prepared
  const checks = [...prepared.checks.values()]
  const looks = checks.filter(({ kind }) => kind === 'look')
  const read = checks.filter(({ id, kind }) => kind !== 'look' && !answered.has(kind) && !isAsked(id))
  const acts = read.filter((check) => acting.has(check.kind) && !atRest(check))
  const ground = read.filter((one) => toGround(one) && !acts.includes(one))
  const windings = read.filter((one) => !acts.includes(one) && !ground.includes(one))
  const seen = checks.filter(({ id, kind }) => answered.has(kind) && !isAsked(id))
  const cold = card.care.cautions.filter((caution) => !running.includes(caution))
  const atSpeed = card.care.cautions.filter((caution) => running.includes(caution))
  const needsPower = checks.some(({ kind, conditions }) => powered.has(kind) || conditions?.drive)
  const placed = (some: PreparedCheck[]) => clipOrder(some.flatMap((check) => placesOf(prepared, check)))
  return [
    ...(looks.length === 0 ? [lookStep('the part')] : looks.map((one) => lookStep(placeOf(one), one.id))),
    { id: 'isolate', kind: 'isolate', group: 'safe', cautions: cold },
    { id: 'temperature', kind: 'temperature', group: 'safe', cautions: [] },
    { id: 'leads', kind: 'leads', group: 'leads', cautions: [] },
    ...placed(windings).map((one) => readingStep(one, 'windings')),
    ...(ground.length > 0 ? [{ id: 'frame-proof', kind: 'frame-proof', group: 'ground', cautions: [] } as Step] : []),
    ...placed(ground).map((one) => readingStep(one, 'ground')),
    ...(needsPower ? [{ id: 'supply', kind: 'supply', group: 'act', cautions: [] } as Step] : []),
    ...setUps(acts)
      .flatMap(placed)
      .map((one) => readingStep(one, 'act', one.check.conditions?.rpm === undefined ? [] : atSpeed)),
    ...seen.map((check) => answerStep(check, 'act')),
    // in the order they were asked: whoever asks goes there at once
    ...checks
      .filter(({ id }) => isAsked(id))
      .flatMap((check) =>
        answered.has(check.kind)
          ? [answerStep(check, 'asked')]
          : placesOf(prepared, check).map((one) => readingStep(one, 'asked')),
      ),
    { id: 'finding', kind: 'finding', group: 'finding', cautions: [] },
  ]
}

/** What is seen or heard, and answered in words. */
const answerStep = ({ id, required }: PreparedCheck, group: StepGroup): Step => ({
  id,
  kind: 'answer',
  check: id,
  required,
  group,
  cautions: [],
})

/** What is driven or run in one set-up is read together, the set-ups in the card's order: each costs a change at the part. */
function setUps(acts: PreparedCheck[]): PreparedCheck[][] {
  const found = new Map<string, PreparedCheck[]>()
  for (const one of acts) {
    const key = JSON.stringify(one.conditions ?? {})
    found.set(key, [...(found.get(key) ?? []), one])
  }
  return [...found.values()]
}

/** A relay's contacts with its coil at rest are ohms like any other. */
const atRest = ({ kind, conditions }: PreparedCheck): boolean => kind === 'contacts' && !conditions?.drive

/** A test to frame that expects no path; a lead that belongs to frame is read with the windings. */
const toGround = ({ stated, points }: PreparedCheck): boolean =>
  points.some(({ pair }) => pair.includes('frame')) &&
  stated.some(({ limit }) => limit !== 'derived' && (limit.kind === 'open' || limit.kind === 'insulation'))

const lookStep = (place: string, check?: string): Step => ({
  id: check ?? 'look',
  kind: 'look',
  place,
  group: 'meet',
  cautions: [],
  ...(check === undefined ? {} : { check }),
})

const placeOf = ({ at, label }: PreparedCheck): string => ('place' in at ? at.place : label)

interface Placed {
  check: PreparedCheck
  point: StepPoint
  /** what tells this step from the others of its check */
  mark: string
}

/** Every place where a check wants a reading. */
function placesOf(prepared: PreparedCard, check: PreparedCheck): Placed[] {
  if (check.kind === 'contacts') return contactPlaces(prepared, check)
  const count = check.items ?? ('ring' in check.at ? check.at.ring : 0)
  const pair = 'pair' in check.at ? check.at.pair : undefined
  const at = { ...(pair ? { pair } : {}), covers: pair ?? [] }
  if (count > 0)
    return Array.from({ length: count }, (_, i) => ({ check, point: { ...at, index: i + 1 }, mark: String(i + 1) }))
  const places = curvePlaces(check)
  if (places.length > 0) return places.map((x) => ({ check, point: { ...at, x }, mark: String(x) }))
  if (check.points.length === 0) return [{ check, point: at, mark: '' }]
  const several = check.points.length > 1
  return check.points.map((point) => ({ check, point, mark: several ? point.pair.join('-') : '' }))
}

const curvePlaces = ({ stated }: PreparedCheck): number[] =>
  stated
    .flatMap(({ limit }) => (limit !== 'derived' && limit.kind === 'curve' ? [limit.points] : []))[0]
    ?.map(({ x }) => x) ?? []

/** Pairs off the coil, at rest or driven as the check says. */
function contactPlaces({ card }: PreparedCard, check: PreparedCheck): Placed[] {
  const coil = card.windings.find(({ from, to }) =>
    check.points.some(({ pair }) => pair.includes(from) && pair.includes(to)),
  )
  const off = check.points.filter(
    ({ pair }) => !coil || !pair.some((terminal) => [coil.from, coil.to].includes(terminal)),
  )
  const pairs = off.length > 0 ? off : check.points
  const drive: Conditions['drive'] = check.conditions?.drive ?? null
  return pairs.map(({ pair, covers }) => ({ check, point: { pair, covers, drive }, mark: pair.join('-') }))
}

function readingStep({ check, point, mark }: Placed, group: StepGroup, cautions: CautionId[] = []): Step {
  const { id, required } = check
  return { id: mark === '' ? id : `${id}:${mark}`, kind: 'reading', check: id, point, required, group, cautions }
}

/** Whether one reads a part of the windings that another reads. */
const isPartOf = ({ check: part }: Placed, { check: whole }: Placed): boolean =>
  !whole.toFrame &&
  part.touches.size < whole.touches.size &&
  [...part.touches].every((id) => whole.touches.has(id)) &&
  part.touches.size > 0

/**
 * Card order, but of what is left always a pair that shares a clip with the last one, narrower checks before wider ones; a whole never before
 * its parts.
 */
function clipOrder(places: Placed[]): Placed[] {
  const left = [...places]
  const ordered: Placed[] = []
  const breadth = ({ check }: Placed) => (check.toFrame ? 0 : Math.max(1, check.touches.size))
  while (left.length > 0) {
    const last = ordered.at(-1)
    const sharing = left.filter((one) => last?.point.pair?.some((terminal) => one.point.pair?.includes(terminal)))
    const next =
      sharing.find((one) => breadth(one) === Math.min(...sharing.map(breadth))) ??
      left.find((one) => !left.some((other) => isPartOf(other, one)))
    if (!next) break
    ordered.push(next)
    left.splice(left.indexOf(next), 1)
  }
  return ordered
}
