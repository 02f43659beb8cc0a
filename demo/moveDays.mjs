const dayMs = 86_400_000
const moment = /"\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(?:\.\d+)?Z"/g

/**
 * The demo shop on the days before now: everything is moved by whole days, so that yesterday is its last working day. A shop whose
 * parts have been here for a year is no demo. The cards stay as they are: what they say has no day.
 * @param {string} text the shop as a file carries it
 * @param {Date} now
 * @returns {string}
 */
export function moveDays(text, now = new Date()) {
  const { cards, ...rest } = JSON.parse(text)
  const moved = JSON.stringify(rest)
  const last = Math.max(...(moved.match(moment) ?? []).map((one) => Date.parse(one.slice(1, -1))))
  if (!Number.isFinite(last)) return text
  const by = (dayOf(now.getTime() - now.getTimezoneOffset() * 60_000) - 1 - dayOf(last)) * dayMs
  const shop = JSON.parse(
    moved.replace(moment, (one) => `"${new Date(Date.parse(one.slice(1, -1)) + by).toISOString()}"`),
  )
  return JSON.stringify({ ...shop, cards })
}

/** @param {number} ms */
const dayOf = (ms) => Math.floor(ms / dayMs)
