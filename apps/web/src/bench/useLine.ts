import { computed, ref, watch } from 'vue'
import { emptyLine, keptText, openLine, overLine, press, type Line } from '../reading/line'
import type { useBench } from '../store/bench'
import { useShop } from '../store/shop'
import { problemWords } from '../words/reasons'

const takesFigure = new Set(['reading', 'temperature', 'leads', 'frame-proof', 'supply'])
const longest = 300

const shownText = ({ text }: Line): string => text.slice(0, 40)

/** The line that is typed from anywhere on the bench, and what was wrong with it. */
export function useLine(bench: ReturnType<typeof useBench>) {
  const shop = useShop()
  const line = ref<Line | null>(null)
  const problem = ref('')
  // what was typed for one step never reaches another
  watch(
    () => bench.stepId,
    () => {
      problem.value = line.value ? `“${shownText(line.value)}” was typed for another step and was not kept.` : ''
      line.value = null
    },
  )
  // what one read is not kept as another's
  watch(
    () => shop.person?.id,
    (_now, before) => {
      if (before === undefined || !line.value) return
      problem.value = `Somebody else is at the bench: “${shownText(line.value)}” was not kept. Read it again.`
      line.value = null
    },
  )
  const isReading = () => bench.current?.step.kind === 'reading'
  /** the step takes a figure, and the run is open */
  const takesFigures = computed(() => takesFigure.has(bench.current?.step.kind ?? '') && !bench.state?.closed)

  function show(next: Line): void {
    line.value = next.text === '' ? null : next
    problem.value = ''
  }

  /** Begins a line with its first sign. @returns whether the step takes one */
  function open(key: string): boolean {
    if (takesFigures.value) show(openLine(key, isReading() ? bench.prefix : ''))
    return takesFigures.value
  }

  /** The word for over range, with the range a hand-ranged meter was put on; where it dropped out already, once more. */
  function openOver(): boolean {
    const own = bench.doing ? undefined : bench.evaluationOf(bench.current?.entry)
    if (takesFigures.value && own?.entry.reading.drops !== undefined) {
      bench.dropAgain(own)
      return true
    }
    const range = bench.meter?.ranging === 'hand' ? bench.rangeInUse.replace('\u2009', '').replace('Ω', '') : ''
    if (takesFigures.value) line.value = overLine(range)
    return takesFigures.value
  }

  const add = (key: string) => show(press(line.value ?? emptyLine, key))

  /** What was put in by other means than keys: a screen keyboard, a paste. */
  function put(text: string): void {
    line.value = text === '' ? null : { ...(line.value ?? openLine('', bench.prefix)), text: text.slice(0, longest) }
  }

  function keep(): void {
    if (!line.value) return
    const text = keptText(line.value)
    if (isReading() && bench.meter?.ranging === 'hand' && /^(?:ol|o\.l|0l|open|inf|∞)$/i.test(text)) {
      problem.value = 'Over which range? Type it behind: OL 20M. Alone it proves nothing on a meter ranged by hand.'
      return
    }
    const wrong = bench.keepTyped(text)
    problem.value = wrong ? `${problemWords[wrong]} Nothing was kept of “${text.slice(0, 40)}”.` : ''
    if (!wrong) line.value = null
  }

  const clear = () => void (line.value = null)
  return { line, problem, open, openOver, add, put, keep, clear }
}
