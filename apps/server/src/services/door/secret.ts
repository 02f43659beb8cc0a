import { hash, verify } from '@node-rs/argon2'
import { createHash, randomBytes, randomInt } from 'node:crypto'

/** Argon2id, 64 MiB, three passes, one lane: about a tenth of a second (RFC 9106, second recommended setting, one lane). */
const cost = { memoryCost: 65_536, timeCost: 3, parallelism: 1 }

/** @returns the hash of a PIN or password with its salt and cost, as text */
export const hashSecret = (secret: string): Promise<string> => hash(secret, cost)

/** Hashed once, so that a guess at somebody who has no secret takes as long as one at somebody who has. */
let nobodys: Promise<string> | undefined

/** Whether a guess is right; as slow where there is nothing to guess. */
export async function isSecret(kept: string | null | undefined, guess: string): Promise<boolean> {
  if (typeof kept === 'string') return verify(kept, guess)
  nobodys ??= hashSecret(randomBytes(16).toString('hex'))
  await verify(await nobodys, guess)
  return false
}

/** 256 random bits: a cookie's token, or the key of a seat. */
export const newToken = (): string => randomBytes(32).toString('hex')

/** What is kept of a token or a code: it cannot be turned back. */
export const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex')

/** Without letters and digits that are taken for one another. */
const signs = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789'

/** A code to be read aloud and typed: eight signs in two fours, 40 random bits. */
export function newCode(): string {
  const eight = Array.from({ length: 8 }, () => signs[randomInt(signs.length)]).join('')
  return `${eight.slice(0, 4)}-${eight.slice(4)}`
}

/** A code as it was meant, however it was typed. */
export const plainCode = (typed: string): string => typed.replace('-', '').toUpperCase()
