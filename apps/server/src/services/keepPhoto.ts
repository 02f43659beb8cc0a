import { mostPhotoBytes, type Photo, type Seal } from '@sure-spool/contract'
import { createHash } from 'node:crypto'
import type { Database, Queries } from '../database/connect'
import { notFound, ProblemError } from '../http/problem'
import { insertPhoto, readPhoto, type PhotoRow } from '../repositories/photos'
import { allowed } from './access'
import { madeBy } from './door/seal'

const refused = (status: number, path: string, detail: string) =>
  new ProblemError(status, status === 409 ? 'conflict' : 'refused', `The photo was not kept: ${path} ${detail}.`, [
    { path, detail },
  ])

/**
 * Keeps a photo; the same one again is the same one. Its seal covers what it is and its fingerprint, and so its picture.
 * @throws ProblemError 409 for another picture under its id, 422 where it is no JPEG or not the one that its fingerprint names
 */
export async function keepPhoto(
  database: Database,
  photo: Photo,
  seal: Seal | undefined,
  now: string,
): Promise<{ id: string; receivedAt: string }> {
  const { data: _data, ...head } = photo
  await madeBy(database, head.by, head, seal)
  await allowed(database, head.by, 'learner')
  const receivedAt = await keepOne(database, photo, now, 'data', seal)
  return { id: head.id, receivedAt }
}

/** Takes a photo of a file in. @throws ProblemError 409, 422 */
export async function importPhoto(
  queries: Queries,
  photo: Photo,
  people: ReadonlyMap<string, unknown>,
  path: string,
): Promise<void> {
  if (!people.has(photo.by))
    throw refused(422, `${path}.by`, 'names a person that is neither in this file nor in this shop')
  await keepOne(queries, photo, photo.at, `${path}.data`)
}

async function keepOne(
  queries: Queries,
  { data, ...head }: Photo,
  receivedAt: string,
  path: string,
  seal?: Seal,
): Promise<string> {
  const known = await readPhoto(queries, head.id)
  if (known && known.sha256 !== head.sha256)
    throw refused(409, path, 'is another picture than the one kept under its id')
  if (known) return known.receivedAt
  const bytes = Buffer.from(data, 'base64')
  if (bytes.length > mostPhotoBytes) throw refused(422, path, 'is larger than a photo here may be')
  if (!isJpeg(bytes)) throw refused(422, path, 'is no JPEG')
  if (createHash('sha256').update(bytes).digest('hex') !== head.sha256)
    throw refused(422, path, 'is not the picture that its fingerprint names')
  await insertPhoto(queries, { ...head, bytes, receivedAt, seat: seal?.seat ?? null, seal: seal?.mac ?? null })
  return receivedAt
}

/** Start of image and of its first marker, and an end (ITU-T T.81, B.1.1.3). */
const isJpeg = (bytes: Buffer): boolean =>
  bytes.length > 4 && bytes.readUIntBE(0, 3) === 0xffd8ff && bytes.readUInt16BE(bytes.length - 2) === 0xffd9

/** @throws ProblemError 404 */
export async function viewPhoto(queries: Queries, id: string): Promise<PhotoRow> {
  const row = await readPhoto(queries, id)
  if (!row) throw notFound('This photo')
  return row
}

/** A photo as a shop file carries it. */
export const asShopPhoto = ({ id, at, by, width, height, sha256, bytes }: PhotoRow): Photo => ({
  id,
  at,
  by,
  width,
  height,
  sha256,
  data: bytes.toString('base64'),
})
