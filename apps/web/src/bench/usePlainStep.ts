import { isAsked, lookIds, slotWords, type LookId } from '@sure-spool/core'
import { computed, ref, watch } from 'vue'
import { asTheStepIsDone } from '../reading/typedEntries'
import { useBench } from '../store/bench'
import { usePhotos } from '../store/photos'
import { useShop } from '../store/shop'

const mostLooks = 10
/** What can be seen, in the order of the digits 1 to 9 and 0. */
export const looksOffered = lookIds.filter((one) => one !== 'sound').slice(0, mostLooks)

type Ask = (words: string, offers: string[], answer: (words: string) => void, may: { free: true }) => void

/**
 * The acts of a step that is not a reading: looks, what was seen to happen, how a figure was taken.
 * @param ask asks for words: where round an armature something was seen
 */
export function usePlainStep(ask: Ask) {
  const bench = useBench()
  const shop = useShop()
  const step = computed(() => bench.current?.step)
  const seen = ref<LookId[]>([])
  const words = ref('')
  /** what is seen is a fault by itself, and no mere evidence */
  const isFault = ref(false)
  /** tapped on the drawing: another place than the step's */
  const place = ref<string>()
  const photos = usePhotos()
  watch(
    () => bench.stepId,
    () => {
      seen.value = []
      words.value = ''
      isFault.value = false
      place.value = undefined
    },
  )
  const asked = computed(() => {
    const limit = bench.check?.stated[0]?.limit
    return limit && limit !== 'derived' && limit.kind === 'answer' ? limit : undefined
  })
  const answers = computed(() => asked.value?.of ?? [])

  function see(at: number): void {
    const what = looksOffered[at]
    if (!what) return
    seen.value = seen.value.includes(what) ? seen.value.filter((one) => one !== what) : [...seen.value, what]
  }

  const write = (text: string) => void (words.value = text)

  function keepLook(): void {
    if (step.value?.kind !== 'look') return
    const { check } = step.value
    const text = words.value.trim()
    bench.add({
      kind: 'look',
      place: place.value ?? step.value.place,
      what: seen.value.length > 0 ? [...seen.value] : ['sound'],
      ...(check === undefined ? {} : { check }),
      ...(text === '' ? {} : { words: text }),
      ...photos.named(),
      ...(isFault.value && seen.value.length > 0 ? { fault: true as const } : {}),
    })
  }

  /** A place tapped once more is the whole step's again. */
  const at = (where: string) => void (place.value = place.value === where ? undefined : where)
  const fault = () => void (isFault.value = !isFault.value)

  function say(at: number): void {
    const text = answers.value[at]
    if (step.value?.kind !== 'answer' || text === undefined) return
    const { check } = bench
    const conditions = check ? asTheStepIsDone(check, undefined) : {}
    const isRound = bench.run?.card.checks.some((one) => 'ring' in one.at) === true
    const isMarked = isRound && check !== undefined && !isAsked(check.id) && asked.value?.right.includes(text) === false
    bench.add({
      kind: 'reading',
      check: step.value.check,
      reading: {
        taken: 'typed',
        text,
        decimalComma: shop.settings.decimalComma,
        kind: 'answer',
        answer: text,
        ...(Object.keys(conditions).length > 0 ? { conditions } : {}),
      },
    })
    if (isMarked) askWhere(check.id)
  }

  /** The answer stands already; where it was seen is noted of it, and may be left out. */
  function askWhere(about: string): void {
    ask('Where? The slots by their numbers, as 5 16; Enter alone where nobody marked them.', [], where, { free: true })
    function where(words: string): void {
      if (words !== '') bench.add({ kind: 'note', about, words: slotWords(words) })
    }
  }

  /** One of the ways in which this step's figure is taken. */
  function pick(at: number): void {
    const first = at === 0
    // the third is offered where something was read that stays cold
    if (at > 1 && (step.value?.kind !== 'temperature' || bench.state?.tape.readings.length === 0)) return
    if (step.value?.kind === 'temperature') bench.temperatureFrom = (['room', 'measured', 'hot'] as const)[at] ?? 'room'
    if (step.value?.kind === 'leads') bench.zeroHow = first ? 'hardware' : 'subtract'
    if (step.value?.kind === 'supply') bench.supplyWhile = first ? 'on' : 'off'
  }

  return { seen, words, isFault, place, answers, see, at, fault, write, keepLook, say, pick }
}

export type PlainStepActs = ReturnType<typeof usePlainStep>
