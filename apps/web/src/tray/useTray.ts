import type { Queue, QueueUnit } from '@sure-spool/contract'
import { computed, ref, watch, type ComputedRef, type Ref } from 'vue'
import { ask } from '../store/api'
import { useBench } from '../store/bench'
import { keepCopy, readCopy } from '../store/browserDatabase'
import { useQueue } from '../store/queue'
import { pileOf } from './piles'

export interface Tray {
  units: Ref<QueueUnit[]>
  load: () => Promise<void>
  /** the first one that is still to be read, after the one at hand where there is such; what was found and waits for a decision is none of them */
  nextAfter: (unit: string | undefined) => QueueUnit | undefined
  goOn: (unit: QueueUnit) => Promise<string>
}

/** Parts taken in together, in the order of their tags, with those that have not gone up yet. */
export function useTray(id: () => string | undefined): Tray {
  const bench = useBench()
  const queue = useQueue()
  const known = ref<QueueUnit[]>([])
  const units: ComputedRef<QueueUnit[]> = computed(() => {
    const here = queue.units.filter((unit) => unit.tray !== undefined && unit.tray === id())
    const all = new Map([...here, ...known.value].map((unit) => [unit.id, unit]))
    return [...all.values()].sort((a, b) => (a.tag < b.tag ? -1 : 1))
  })

  async function load(): Promise<void> {
    const tray = id()
    if (tray === undefined) {
      known.value = []
      return
    }
    const answer = await ask<Queue>(`/units?tray=${tray}&limit=200`).catch(() => undefined)
    if (answer) await keepCopy(`tray:${tray}`, answer.units)
    if (id() === tray) known.value = answer?.units ?? (await readCopy<QueueUnit[]>(`tray:${tray}`)) ?? []
  }
  watch(id, load, { immediate: true })

  function nextAfter(unit: string | undefined): QueueUnit | undefined {
    const at = units.value.findIndex((one) => one.id === unit)
    const round = [...units.value.slice(at + 1), ...units.value.slice(0, at + 1)]
    return round.find((one) => one.id !== unit && pileOf(one) === 'to-do')
  }

  /** Takes the next one to the bench. A zero serves the tray for an hour (METHODS 2); an older one is a value, and is only shown. */
  async function goOn(unit: QueueUnit): Promise<string> {
    const { state, run } = bench
    const meter = bench.meter?.id
    const leads = state?.tape.leadChecks.findLast((check) => check.instrument === meter)
    const zeroedAt = leads?.from?.at ?? leads?.at ?? ''
    const carries = leads && run && Date.now() - Date.parse(zeroedAt) < longestCarried
    const jackMoved = state?.tape.proofs.some(({ of, n }) => of === 'jack' && n > (leads?.n ?? 0)) === true
    const next = await bench.startFor(unit)
    if (!carries) return next
    await bench.open(next)
    if (bench.state?.tape.leadChecks.length === 0) {
      const { instrument, text, ohms, u } = leads
      const leadSet = leads.leads === undefined ? {} : { leads: leads.leads }
      const serves = Date.now() - Date.parse(zeroedAt) < longestServing && leads.how !== 'carried' && !jackMoved
      const how = serves
        ? { how: leads.how, from: { run: leads.from?.run ?? run.id, at: zeroedAt } }
        : { how: 'carried' as const }
      bench.add({ kind: 'lead-check', instrument, ...leadSet, text, ohms, u, ...how })
    }
    return next
  }

  return { units, load, nextAfter, goOn }
}

const longestServing = 3_600_000
const longestCarried = 2 * 3_600_000
