import { configure } from 'safe-stable-stringify'

const sorted = configure({ deterministic: true, circularValue: Error })

/** JSON with sorted keys and without what is undefined: the same document gives the same text, here and in the browser. */
export const canonical = (value: unknown): string => sorted(value) ?? 'null'
