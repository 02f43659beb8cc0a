import type { Card, Entry, Instrument, Reading, Rewind, RewindEntry, Run } from '@sure-spool/core'
import { expect, test } from '@jest/globals'
import type { z } from 'zod'
import type { cardSchema } from './card'
import type { rewindEntrySchema, rewindSchema } from './rewind'
import type { entrySchema, instrumentSchema, readingSchema, runSchema } from './run'

type Equal<A, B> = (<T>() => T extends A ? 1 : 2) extends <T>() => T extends B ? 1 : 2 ? true : false
type Fits<A, B> = [A] extends [B] ? ([B] extends [A] ? true : false) : false
const holds = <T extends true>(value: T): T => value

test('the schemas and core’s interfaces are held equal by the type checker', () => {
  expect(holds<Fits<z.infer<typeof cardSchema>, Card>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof readingSchema>, Reading>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof instrumentSchema>, Instrument>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof entrySchema>, Entry>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof runSchema>, Run>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof rewindEntrySchema>, RewindEntry>>(true)).toBe(true)
  expect(holds<Fits<z.infer<typeof rewindSchema>, Rewind>>(true)).toBe(true)
  expect(holds<Equal<z.infer<typeof readingSchema>['kind'], Reading['kind']>>(true)).toBe(true)
})
