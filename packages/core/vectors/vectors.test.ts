import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, test } from '@jest/globals'
import { mismatch } from './mismatch'
import { functions } from './functions'

interface VectorFile {
  fn: string
  cases: { id: string; in: unknown; out: unknown; tol?: number }[]
}
interface Dispute {
  file: string
  id: string
  proof: string
}

const own = dirname(fileURLToPath(import.meta.url))
const folder = process.env['SPOOL_VECTORS'] ?? own
const disputed = JSON.parse(readFileSync(join(own, 'disputed.json'), 'utf8')) as Dispute[]
for (const { file, id, proof } of disputed) console.warn(`disputed: ${file} ${id}: ${proof}`)

const files = readdirSync(folder).filter((name) => name.endsWith('.json') && name !== 'disputed.json')

test('the folder holds vectors', () => {
  expect(files.length).toBeGreaterThan(0)
})

describe.each(files)('%s', (name) => {
  const { fn, cases } = JSON.parse(readFileSync(join(folder, name), 'utf8')) as VectorFile
  test.each(cases)('$id', ({ id, in: input, out, tol }) => {
    const run = functions[fn]
    if (!run) throw new Error(`${name} asks for ${fn}, which core does not offer`)
    const found = mismatch(run(input as never), out, tol ?? 1e-9)
    const known = disputed.some((one) => one.file === name && one.id === id)
    if (known) expect(found).not.toBeNull()
    else expect(found).toBeNull()
  })
})
