import { lookIds, type EntryBody, type LookId } from '../document'

type Look = Extract<EntryBody, { kind: 'look' }>

/** What was seen as it was typed, made an entry; or a sentence on what cannot be read. */
export type TypedLook = { look: Look } | { problem: string }

/** What hands call it, where that is another word than its id. */
const others: Partial<Record<LookId, string[]>> = {
  sound: ['sound', 'fine', 'nothing'],
  smell: ['smells burnt', 'smell', 'smells'],
  wet: ['wet', 'damp'],
}
const names = lookIds
  .flatMap((id) => [id.replace('-', ' '), ...(others[id] ?? [])].map((name) => ({ id, name })))
  .sort((a, b) => b.name.length - a.name.length)

/**
 * Reads what is seen and where: `chafed at the clamp`, `burnt, smells the second coil`; an exclamation mark behind it says that it is a fault
 * by itself.
 * @param here the place where none is typed
 * @example
 * typedLook('chafed! at the clamp', 'the part').look // { kind: 'look', place: 'the clamp', what: [ 'chafed' ], fault: true }
 */
export function typedLook(text: string, here: string): TypedLook {
  const what: LookId[] = []
  let rest = text.trim()
  for (;;) {
    const found = names.find(({ name }) => new RegExp(`^${name}(?![a-z])`, 'i').test(rest))
    if (!found) break
    what.push(found.id)
    rest = rest.slice(found.name.length).replace(/^[\s,]+/, '')
    if (rest.startsWith('!')) break
  }
  const isFault = rest.startsWith('!')
  const place = rest.replace(/^[!\s,]+/, '').replace(/^(?:at|on|in)\s+/i, '')
  if (what.length === 0)
    return { problem: `“${text.trim().slice(0, 40)}” begins with nothing that can be seen: ${lookIds.join(', ')}.` }
  const fault = isFault && what.some((one) => one !== 'sound')
  return {
    look: { kind: 'look', place: place === '' ? here : place, what, ...(fault ? { fault: true as const } : {}) },
  }
}
