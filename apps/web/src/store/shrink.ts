import { mostPhotoBytes, mostPhotoEdge } from '@sure-spool/contract'

export interface Shrunk {
  bytes: Uint8Array
  width: number
  height: number
}

/** Tried one after the other until it is small enough: longest edge in dots, and the quality of the JPEG. */
const tries = [
  { edge: mostPhotoEdge, quality: 0.8 },
  { edge: 1280, quality: 0.75 },
  { edge: 1024, quality: 0.65 },
  { edge: 800, quality: 0.5 },
] as const
/** a photo of a part is no poster */
const wantedBytes = mostPhotoBytes / 2

/**
 * How large a picture becomes whose longer edge may have so many dots: as it is where it is smaller.
 * @example
 * fitting({ width: 4000, height: 3000 }, 1600) // { width: 1600, height: 1200 }
 */
export function fitting(
  { width, height }: { width: number; height: number },
  edge: number,
): { width: number; height: number } {
  const share = Math.min(1, edge / Math.max(width, height))
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) }
}

/**
 * A picture made small in this browser: turned upright by what the camera noted, drawn anew as a JPEG, so that nothing of where and with what
 * it was taken goes with it.
 * @throws Error with a sentence where the file is no picture that this browser can draw
 */
export async function shrink(file: Blob): Promise<Shrunk> {
  const image = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
  if (!image) throw new Error('This file is no picture that the browser can open. Nothing was kept of it.')
  try {
    let last: Shrunk | undefined
    for (const { edge, quality } of tries) {
      last = await drawn(image, fitting(image, edge), quality)
      if (last.bytes.length <= wantedBytes) return last
    }
    if (last && last.bytes.length <= mostPhotoBytes) return last
  } finally {
    image.close()
  }
  throw new Error('This picture cannot be made small enough to be kept. Take it again, from nearer.')
}

async function drawn(
  image: ImageBitmap,
  { width, height }: { width: number; height: number },
  quality: number,
): Promise<Shrunk> {
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  const context = canvas.getContext('2d')
  if (!context) throw new Error('This browser draws no pictures: the photo was not kept.')
  // what shows through a picture becomes white, not black
  context.fillStyle = '#fff'
  context.fillRect(0, 0, width, height)
  context.drawImage(image, 0, 0, width, height)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality))
  if (!blob) throw new Error('This browser makes no JPEG of it: the photo was not kept.')
  return { bytes: new Uint8Array(await blob.arrayBuffer()), width, height }
}
