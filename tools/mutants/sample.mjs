import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'
import { uniformInt } from 'pure-rand/distribution/uniformInt'
import { root } from '../lib/paths.mjs'

/** So many lines are drawn together: a fault that spans several must lie within them. */
const together = 12

/** The sources of a room: its TypeScript without tests. */
export const sourcesOf = ({ folders }) =>
  folders.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true })
      .map((file) => `${folder}/${file}`)
      .filter((file) => /(?<!\.d|\.test|\.bench)\.ts$/.test(file) && !file.includes('/testing/'))
      .sort(),
  )

/**
 * A seeded draw of lines, the same for the same seed and sources.
 * @returns ranges as `file:first-last`, of about that many lines together
 */
export function drawLines(files, lines, seed) {
  const blocks = files.flatMap((file) => {
    const length = readFileSync(join(root, file), 'utf8').split('\n').length
    return Array.from({ length: Math.ceil(length / together) }, (_, i) => ({ file, first: i * together + 1 }))
  })
  const generator = xoroshiro128plus(seed)
  const drawn = []
  while (drawn.length * together < lines && blocks.length > 0)
    drawn.push(...blocks.splice(uniformInt(generator, 0, blocks.length - 1), 1))
  return drawn.map(({ file, first }) => `${file}:${first}-${first + together - 1}`)
}
