import { lookIds, stillOff, typedLook, typedWork, worksByCoil, type EntryBody } from '@sure-spool/core'
import { useBench } from '../store/bench'
import { usePhotos } from '../store/photos'
import { lookWords, placeWords } from '../words/kinds'
import { workPlace } from '../words/works'
import type { useQuestions } from './useQuestions'

/** What hands do oftenest; their digits stay where they are. */
const offered = ['cleaned', 'reflowed', 'spliced', 'lifted', 'unsoldered', 'soldered', 'fixed', 'ran']

const mostOffered = 9

/** What is done to the part between readings, where it is, and the order in which it is worked. */
export function useWorkDone(ask: ReturnType<typeof useQuestions>['ask'], tell: (words: string) => void) {
  const bench = useBench()
  const photos = usePhotos()

  /** The place in hand: the item, or the one winding that is read; else the part. */
  function here(): string {
    const step = bench.current?.step
    const index = step?.kind === 'reading' ? step.point.index : undefined
    if (index !== undefined) return `item ${index}`
    const [winding, more] = [...(bench.check?.touches ?? [])]
    return winding !== undefined && more === undefined ? winding : 'the part'
  }

  function work(): void {
    const { run, state } = bench
    if (!run || !state) return
    const off = stillOff(state.tape.works)
    const place = here()
    const refit = off[0] ? [`refitted ${workPlace(run.card, off[0].place)}`] : []
    ask(
      `What was done? At ${workPlace(run.card, place)}; elsewhere type it, as spliced ${run.card.terminals[0]?.label ?? 'grey'}.`,
      [...offered, ...refit],
      (words) => {
        const typed = typedWork(words, run.card, off, place)
        if ('problem' in typed) tell(`${typed.problem} Nothing was kept.`)
        else keepWork(typed.work)
      },
    )
  }

  /** A lifted lead that is refitted leaves the part in its circuit again. */
  function keepWork(work: Extract<EntryBody, { kind: 'work' }>): void {
    bench.add(work)
    const isolation = bench.state?.tape.isolations.at(-1)
    if (work.undoes !== undefined && isolation?.lifted?.includes(work.place)) {
      const lifted = isolation.lifted.filter((one) => one !== work.place)
      bench.add({
        kind: 'isolation',
        state: lifted.length > 0 ? isolation.state : 'in-circuit',
        ...(lifted.length > 0 ? { lifted } : {}),
      })
    }
  }

  /** What is seen, wherever the hands are; the place is said behind it. */
  function look(): void {
    const place = 'the part'
    const offers = lookIds.filter((one) => one !== 'sound').slice(0, mostOffered)
    ask(
      'What is seen, and where? As chafed at the clamp; with a ! behind it, as chafed! at the clamp, it is a fault by itself.',
      offers.map((one) => lookWords[one]),
      (words) => {
        const typed = typedLook(words, place)
        if ('look' in typed) bench.add({ ...typed.look, ...photos.named() })
        // what a photo shows may be no finding at all
        else if (photos.pending) bench.add({ kind: 'note', words, ...photos.named() })
        else tell(`${typed.problem} Nothing was kept.`)
      },
      { photo: true },
    )
  }

  /** Where the part is, and in which order it is worked, as far as this card tells one from the other. */
  function place(): void {
    const { run, state, steps } = bench
    if (!run || !state) return
    const places = run.card.checks.some(({ where }) => where !== undefined) ? (['machine', 'bench'] as const) : []
    const plan = steps.map(({ step }) => step)
    const orders = worksByCoil(plan, state.prepared) ? (['tests', 'coils'] as const) : []
    const ofLeads = run.card.checks.some(({ kind }) => kind === 'per-length')
    const orderWords = { tests: 'test by test', coils: ofLeads ? 'lead by lead' : 'coil by coil' }
    const offers = [...places.map((one) => placeWords[one]), ...orders.map((one) => orderWords[one])]
    if (offers.length === 0)
      return tell('This card is worked in one place and one order; go where you like with up, down or p.')
    ask('Where is it, or in which order?', offers, (words) => {
      const where = places.find((one) => placeWords[one] === words.trim())
      const order = orders.find((one) => orderWords[one] === words.trim())
      if (where) bench.add({ kind: 'place', where })
      else if (order) bench.order = order
      else tell(`“${words}” is none of these: ${offers.join(', ')}.`)
    })
  }

  return { work, look, place }
}
