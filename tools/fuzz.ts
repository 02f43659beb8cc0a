import { parseLimit, parseReading, quantities, type Quantity } from '@sure-spool/core'
import { randomText } from '@sure-spool/core/testing'
import fc from 'fast-check'

/** Ten million random texts through the two readers of text: nothing throws, nothing is NaN. `npm run fuzz -- COUNT` for another number. */
const rounds = Number(process.argv[2] ?? 1e7)
const block = 100_000
const finite = (found: object) => Object.values(found).every((one) => typeof one !== 'number' || Number.isFinite(one))
const sound = (text: string, quantity: Quantity, decimalComma: boolean) =>
  finite(parseReading({ text, quantity, decimalComma })) && finite(parseLimit({ text, quantity, decimalComma }))

for (let done = 0; done < rounds; done += block) {
  fc.assert(fc.property(randomText, fc.constantFrom(...quantities), fc.boolean(), sound), { numRuns: block })
  process.stdout.write(`${(done + block).toLocaleString('en')} texts\n`)
}
