import { readFileSync, readdirSync } from 'node:fs'
import { v7 } from 'uuid'
import type { Card } from '@sure-spool/core'

const makers = ['Fernhollow', 'Nettlebrook', 'Oxcombe', 'Ravensill', 'Thornwick', 'Ulverley', 'Larkspur', 'Kestrelby']
const nouns = ['stator', 'coil', 'valve', 'relay', 'pump', 'magneto', 'lamp', 'clutch', 'sender', 'winch']

/** A small generator with a fixed seed, so that two runs of the benchmark search the same cards. */
function chance(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

/** Made-up cards in the shape of the demo's, each with names and figures of its own, spread over six decades of ohms. */
export function manyCards(count: number, seed = 7): Card[] {
  const shapes = readdirSync('demo/cards').map((name) => JSON.parse(readFileSync(`demo/cards/${name}`, 'utf8')) as Card)
  const random = chance(seed)
  return Array.from({ length: count }, (_, i) => {
    const shape = structuredClone(shapes[i % shapes.length]) as Card
    const scale = 10 ** (4 * random() - 2)
    const times = (value: number) => Number((value * scale).toPrecision(4))
    for (const winding of shape.windings) if (winding.ohms !== undefined) winding.ohms = times(winding.ohms)
    for (const check of shape.checks)
      for (const one of check.limits) {
        const { limit } = one
        if (limit === 'derived') continue
        if (limit.kind === 'nominal' || limit.kind === 'atMost' || limit.kind === 'atLeast')
          limit.value = times(limit.value)
        if (limit.kind === 'band') [limit.min, limit.max] = [times(limit.min), times(limit.max)]
      }
    const pick = (list: string[]) => list[Math.floor(random() * list.length)] ?? ''
    const number = String(100_000 + Math.floor(random() * 900_000))
    return {
      ...shape,
      id: v7(),
      revision: 1,
      name: {
        maker: pick(makers),
        model: `${pick(nouns)} ${number.slice(0, 4)}`,
        partNumbers: [`${number.slice(0, 2)}-${number.slice(2)}`],
        fits: [`${pick(makers)} ${number.slice(3)}`],
      },
    }
  })
}
