import type { PhotoHead } from '@sure-spool/contract'
import type { Spot } from '@sure-spool/core'
import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { shrink, type Shrunk } from './shrink'
import { stampNow } from './clock'
import { newId } from './newId'
import { useOutbox } from './outbox'
import { forgetOldPhotos, keepPhotoCopy } from './photoCopies'
import { useShop } from './shop'

/** A photo that is about to be named by what is said next. */
export interface Pending {
  photo: string
  spot?: Spot
}

/** Photos of the part in hand: made small and kept in this browser first, then sent; what is said next names the one that was taken last. */
export const usePhotos = defineStore('photos', () => {
  const shop = useShop()
  const outbox = useOutbox()
  const pending = ref<Pending>()
  const busy = ref(false)
  /** counts up as a key asks for one */
  const wanted = ref(0)
  let taken: PhotoHead | undefined

  /**
   * Takes a picture in. It is in this browser before this resolves, whether the server is there or not.
   * @throws Error with a sentence where it is no picture, or nobody is at the bench
   */
  async function take(file: Blob, made: (file: Blob) => Promise<Shrunk> = shrink): Promise<string> {
    if (!shop.person || shop.person.access === 'reader') throw new Error('Who only reads here keeps no photo.')
    busy.value = true
    try {
      const { bytes, width, height } = await made(file)
      const { at } = stampNow()
      const head = { id: newId(), at, by: shop.person.id, width, height, sha256: bytesToHex(sha256(bytes)) }
      await keepPhotoCopy({ ...head, data: base64(bytes) })
      taken = head
      pending.value = { photo: head.id }
      await forgetOldPhotos(new Date(at))
      return head.id
    } finally {
      busy.value = false
    }
  }

  /** The place that was tapped on it, as shares of its width and height; once more there takes it away. */
  function point(spot: Spot): void {
    if (!pending.value) return
    const { photo, spot: before } = pending.value
    const again = before && Math.hypot(before.x - spot.x, before.y - spot.y) < 0.03
    pending.value = again ? { photo } : { photo, spot: { x: round(spot.x), y: round(spot.y) } }
  }

  /** What the next entry says of it; it is said once, and with it the photo goes up. */
  function named(): Pending | Record<string, never> {
    const one = pending.value
    pending.value = undefined
    if (!one || taken?.id !== one.photo) return {}
    outbox.put({ id: taken.id, kind: 'photo', body: taken })
    return one
  }

  const leave = (): void => void (pending.value = undefined)

  return { pending, busy, wanted, take, point, named, leave }
})

const round = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000

/** in pieces: a whole picture is more arguments than a call takes */
function base64(bytes: Uint8Array): string {
  const pieces: string[] = []
  for (let at = 0; at < bytes.length; at += 0x8000) pieces.push(String.fromCharCode(...bytes.subarray(at, at + 0x8000)))
  return btoa(pieces.join(''))
}
