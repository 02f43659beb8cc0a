import { inTransaction, type Database } from '../../database/connect'
import { here } from '../../here'
import { ProblemError } from '../../http/problem'
import { countGuess, forgetGuesses, forgetOldGuesses, forgiveGuess } from '../../repositories/guesses'

const free = { person: 3, address: 12 }
const longestMs = 15 * 60_000
const forgottenMs = 24 * 3_600_000

/** After so many free guesses each wrong one doubles the wait, from two seconds to a quarter of an hour. */
const waitMs = (failures: number, freeGuesses: number): number =>
  failures <= freeGuesses ? 0 : Math.min(longestMs, 2000 * 2 ** (failures - freeGuesses - 1))

const tooMany = (seconds: number) =>
  new ProblemError(
    429,
    'too-many',
    `Too many wrong guesses. The next one is heard in ${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`,
    [],
    seconds,
  )

/**
 * Hears one guess at what proves a person, slowed down by person and by address (ASVS 4.0.3: 2.2.1).
 * @param whose whom the guess is at; a code is nobody's
 * @throws ProblemError 429 with how long to wait; 403 where the guess is wrong
 */
export async function heardGuess<T>(
  database: Database,
  whose: string | null,
  right: () => Promise<T | undefined>,
  wrong: string,
): Promise<T> {
  const now = Date.now()
  const address = `address:${here()?.address ?? ''}`
  const who = whose === null ? [address] : [`person:${whose}`, address]
  await inTransaction(database, async (queries) => {
    await forgetOldGuesses(queries, new Date(now - forgottenMs).toISOString())
    for (const one of who) {
      const freeGuesses = one === address ? free.address : free.person
      const until = await countGuess(queries, one, new Date(now).toISOString(), (failures) =>
        new Date(now + waitMs(failures, freeGuesses)).toISOString(),
      )
      if (until !== undefined) throw tooMany(Math.ceil((Date.parse(until) - now) / 1000))
    }
  })
  const result = await right()
  if (result === undefined) throw new ProblemError(403, 'wrong-guess', wrong)
  // whoever has a PIN of their own must not clear, with it, what was tried from here at others
  await forgiveGuess(database, address, new Date(now).toISOString())
  if (whose !== null) await forgetGuesses(database, `person:${whose}`)
  return result
}
