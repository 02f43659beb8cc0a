import type { Seal, Seat } from '@sure-spool/contract'
import { canonical } from '@sure-spool/contract/canonical'
import { hmac } from '@noble/hashes/hmac.js'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js'

/** A seat taken in this browser, with the key of its seals. The key opens nothing: that takes the cookie, which no script reads. */
export type KeyedSeat = Seat & { key: string }

const kept = 'spool.seats'
/** The tab's own: two tabs may serve two people. */
const tabs = 'spool.seat'

const isOpen = (seat: Seat): boolean => Date.parse(seat.endsAt) > Date.now()

/** The seats that are open in this browser. */
export function seatsHere(): KeyedSeat[] {
  const text = localStorage.getItem(kept)
  return text === null ? [] : (JSON.parse(text) as KeyedSeat[]).filter(isOpen)
}

/** Keeps a seat that was taken; an earlier one of the same person goes. */
export function keepSeat(seat: KeyedSeat): void {
  const others = seatsHere().filter(({ person }) => person !== seat.person)
  localStorage.setItem(kept, JSON.stringify([...others, seat]))
  chooseSeat(seat.id)
}

/** This tab is served by the one who sits there. */
export function chooseSeat(id: string): void {
  sessionStorage.setItem(tabs, id)
}

/**
 * Names the seat to the server for what a browser asks without a script, as a file that is saved. It opens nothing by itself: that takes
 * the bench's own cookie.
 */
export function nameSeat(id: string | undefined): void {
  const safe = globalThis.location?.protocol === 'https:' ? '; secure' : ''
  document.cookie = `spool-seat=${id ?? ''}; path=/; samesite=strict${safe}${id === undefined ? '; max-age=0' : ''}`
}

/** Forgets a seat with its key; what was sealed with it stays sealed. */
export function dropSeat(id: string): void {
  localStorage.setItem(kept, JSON.stringify(seatsHere().filter((seat) => seat.id !== id)))
}

/** The seat of this tab: its own, or, where it was just opened, the one that was taken last. */
export function currentSeat(): KeyedSeat | undefined {
  const seats = seatsHere()
  const own = sessionStorage.getItem(tabs)
  return own === null ? seats.at(-1) : seats.find(({ id }) => id === own)
}

/** HMAC-SHA256 (RFC 2104) with a seat's key over a document's canonical text, in hex. */
export const sealWith = ({ id, key }: KeyedSeat, body: unknown): Seal => ({
  seat: id,
  mac: bytesToHex(hmac(sha256, hexToBytes(key), utf8ToBytes(canonical(body)))),
})

/** The seal of whoever sits here; none where nobody does, as in an open house. */
export function sealed(body: unknown): Seal | undefined {
  const seat = currentSeat()
  return seat && sealWith(seat, body)
}
