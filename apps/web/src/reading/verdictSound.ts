import type { Verdict } from '@sure-spool/core'
import { useLocalStorage } from '@vueuse/core'
import { afterPaint } from '../store/afterPaint'

/** Length and pitch of each note: five patterns that differ in rhythm as well as pitch. */
const patterns: Record<Verdict | 'held', [ms: number, hertz: number][]> = {
  within: [[90, 880]],
  borderline: [
    [70, 660],
    [70, 660],
  ],
  outside: [
    [220, 330],
    [60, 330],
  ],
  none: [
    [40, 520],
    [40, 520],
    [40, 520],
  ],
  held: [
    [60, 440],
    [60, 330],
    [180, 440],
  ],
}
let context: AudioContext | undefined

/** Whether this browser keeps quiet: `yes` or `no`. */
export const muted = useLocalStorage<'yes' | 'no'>('spool.mute', 'no', { writeDefaults: false })

/** Says a verdict by sound once it is on the screen, unless muted or where the browser has none. */
export function playVerdict(verdict: Verdict, held: boolean): void {
  if (muted.value === 'yes' || !('AudioContext' in window)) return
  afterPaint(() => play(held ? 'held' : verdict))
}

function play(pattern: keyof typeof patterns): void {
  context ??= new AudioContext()
  let start = context.currentTime
  for (const [ms, hertz] of patterns[pattern]) {
    const tone = context.createOscillator()
    const volume = context.createGain()
    tone.frequency.value = hertz
    volume.gain.value = 0.08
    tone.connect(volume).connect(context.destination)
    tone.start(start)
    tone.stop(start + ms / 1000)
    start += ms / 1000 + 0.05
  }
}
