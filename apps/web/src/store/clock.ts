import { ref } from 'vue'

/** This browser's clock against the server's: what is stamped here is stamped in the server's time, as far as it was ever heard. */
const kept = 'spool.clock'
/** A clock that is off by less is right enough, and is left alone. */
const leastS = 60
/** An answer that took longer says too little of when it was given. */
const longestMs = 2000

/** Seconds by which this clock is behind the server's (ahead: negative); 0 while it is right enough. */
export const clockOff = ref(0)

/** What was heard before, as the tab opens. */
export function recallClock(): void {
  clockOff.value = Number(localStorage.getItem(kept) ?? 0) || 0
}

/**
 * Hears the server's time from an answer (RFC 9110, Date: whole seconds).
 * @param askedAt and
 * @param answeredAt by this clock, milliseconds
 */
export function hearClock(date: string | null, askedAt: number, answeredAt: number): void {
  const said = date === null ? NaN : Date.parse(date)
  if (Number.isNaN(said) || answeredAt - askedAt > longestMs) return
  const seconds = Math.round((said + 500 - (askedAt + answeredAt) / 2) / 1000)
  clockOff.value = Math.abs(seconds) < leastS ? 0 : seconds
  localStorage.setItem(kept, String(clockOff.value))
}

/** Now, in the server's time. */
export const rightNow = (): Date => new Date(Date.now() + clockOff.value * 1000)

/** What an entry made now carries of it: the moment, and by how much this clock was off. */
export const stampNow = (): { at: string; clock?: number } => ({
  at: rightNow().toISOString(),
  ...(clockOff.value === 0 ? {} : { clock: clockOff.value }),
})

/** How far it is off, in words; nothing where it is right. */
export function clockWords(seconds: number): string {
  if (seconds === 0) return ''
  const minutes = Math.round(Math.abs(seconds) / 60)
  const [count, unit] =
    minutes < 120
      ? [minutes, 'minute']
      : minutes < 48 * 60
        ? [Math.round(minutes / 60), 'hour']
        : [Math.round(minutes / 1440), 'day']
  return `this clock is ${count} ${unit}${count === 1 ? '' : 's'} ${seconds > 0 ? 'behind' : 'ahead'}`
}
