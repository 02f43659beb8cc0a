import { photoSchema, photosNamed, rewindSchema, sentencesOf, type Photo } from '@sure-spool/contract'
import type { Rewind } from '@sure-spool/core'
import { z } from 'zod'
import { ask } from '../store/api'
import { readPhotoCopy } from '../store/photoCopies'

const mostBytes = 100e6
const photosSchema = z.array(photoSchema).max(1000)

/** What a rewind's own file holds: the document, and beside it the pictures that it names. */
export interface RewindFile {
  rewind: Rewind
  photos: Photo[]
}

/**
 * A rewind as its own file.
 * @returns its text, and how many of the pictures it names could not be had: their places stay named in it
 */
export async function writeRewindFile(rewind: Rewind): Promise<{ text: string; without: number }> {
  const found = await Promise.all(photosNamed(rewind.entries).map(pictureOf))
  const photos = found.filter((one) => one !== undefined)
  const document = photos.length === 0 ? rewind : { ...rewind, photos }
  return { text: `${JSON.stringify(document, null, 2)}\n`, without: found.length - photos.length }
}

/** This browser's copy, else the server's; none where neither has it or the server is away. */
async function pictureOf(id: string): Promise<Photo | undefined> {
  const copy = await readPhotoCopy(id)
  if (copy) return copy
  try {
    return await ask<Photo>(`/photos/${encodeURIComponent(id)}/file`)
  } catch {
    return undefined
  }
}

/** @throws Error with a sentence where the file is no rewind, or its pictures are none */
export async function readRewindFile(file: File): Promise<RewindFile> {
  const nothing = 'Nothing was taken in.'
  if (file.size > mostBytes) throw new Error(`${file.name} is larger than any rewind. ${nothing}`)
  let document: unknown
  try {
    document = JSON.parse(await file.text())
  } catch {
    throw new Error(`${file.name} is no JSON. ${nothing}`)
  }
  const { photos = [], ...rest } = Object(document) as { photos?: unknown }
  const rewind = rewindSchema.safeParse(rest)
  const pictures = photosSchema.safeParse(photos)
  if (rewind.success && pictures.success) return { rewind: rewind.data as Rewind, photos: pictures.data }
  const [first] = sentencesOf((rewind.error ?? pictures.error) as z.ZodError)
  const at = rewind.error ? first?.path : `photos${first?.path ?? ''}`
  throw new Error(`${file.name} is no rewind: ${first ? `${at} ${first.detail}` : 'it has another form'}. ${nothing}`)
}
