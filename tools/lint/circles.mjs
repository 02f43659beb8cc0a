import { existsSync, statSync } from 'node:fs'
import { dirname, join } from 'node:path'

const importing = /(?:^|\n)\s*(?:import|export)\s[^'"]*?from\s*['"](\.[^'"]*)['"]/g
const endings = ['', '.ts', '.vue', '.mjs', '/index.ts']
const known = new Map()

/** The files a file imports by a relative path, types included: a circle of types is a circle for its reader too. */
function importsOf(file, read) {
  const before = known.get(file)
  if (before) return before
  const found = [...read(file).matchAll(importing)].flatMap(([, target]) => {
    const full = join(dirname(file), target)
    const hit = endings.map((ending) => full + ending).find((one) => existsSync(one) && statSync(one).isFile())
    return hit === undefined ? [] : [hit]
  })
  known.set(file, found)
  return found
}

/**
 * The shortest circle of imports that leads from a file back to it.
 * @param read the text of a file, so that an editor may give one that is not saved
 * @returns the files in order, the first one again at the end; null where there is none
 */
export function circleThrough(file, read) {
  const from = new Map([[file, null]])
  const queue = [file]
  for (const one of queue)
    for (const next of importsOf(one, read)) {
      if (next === file) {
        const circle = [file]
        for (let at = one; at !== null; at = from.get(at)) circle.unshift(at)
        return circle
      }
      if (!from.has(next)) {
        from.set(next, one)
        queue.push(next)
      }
    }
  return null
}
