/** What is put into the text of a body. */
const bits = [
  '\\u0000',
  '\\ud800',
  '"',
  '{',
  '[',
  '1e999',
  '-0',
  'null',
  '\u202e',
  '🔧',
  '9'.repeat(400),
  '\\n',
  '=',
  "'",
  ';',
  '',
]
/** What is put at a place of a document. */
const odd = [
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  2 ** 53,
  '',
  ' ',
  '0',
  'OL',
  '\ud800',
  '\u0000',
  'e\u0301'.repeat(300),
  '🧵'.repeat(2100),
  '019a0000-1800-7000-8000-000000000018',
  '2026-02-30T00:00:00.000Z',
  '0001-01-01T00:00:00.000Z',
  '9999-12-31T23:59:59.999Z',
  [],
  {},
  ['__proto__'],
  JSON.parse('{"__proto__":{"kind":"reading"},"constructor":1}'),
]

/** Spoils good requests, the same way for the same seed. */
export function spoiler(seed) {
  let state = seed
  /** A random number below 1 (mulberry32). */
  function chance() {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
  const below = (n) => Math.floor(chance() * n)

  /** Half of them spoilt as text, half in their values alone, so that what reads them gets that far. */
  function mutated(good) {
    if (chance() < 0.5) {
      const body = structuredClone(good)
      for (let edits = 1 + below(2); edits > 0; edits--) swapOne(body)
      return JSON.stringify(body)
    }
    let spoilt = JSON.stringify(good)
    for (let edits = 1 + below(4); edits > 0; edits--) {
      const from = below(spoilt.length)
      spoilt = spoilt.slice(0, from) + bits[below(bits.length)] + spoilt.slice(from + below(6))
    }
    return spoilt
  }

  function swapOne(body) {
    const places = []
    const walk = (node) => {
      for (const key of Object.keys(node)) {
        places.push([node, key])
        if (node[key] !== null && typeof node[key] === 'object') walk(node[key])
      }
    }
    walk(body)
    const [node, key] = places[below(places.length)]
    node[key] = structuredClone(odd[below(odd.length)])
  }

  const mutatedPath = (path) => path + ['%00', '%zz', '=', '&limit=-1', '&place=%F0%9F', '&cursor=e30'][below(6)]
  return { below, mutated, mutatedPath }
}
