import type { Winding } from '@sure-spool/core'

/** A winding in a chain, with the end it is entered by. */
export interface Link {
  id: string
  from: string
  to: string
}

const forwards = ({ id, from, to }: Winding): Link => ({ id, from, to })
const backwards = ({ id, from, to }: Winding): Link => ({ id, from: to, to: from })

/** The windings in chains, each joined to the next at a terminal, as long as they go. Every winding stands in one chain, once. */
export function chainsOf(windings: readonly Winding[]): Link[][] {
  const left = [...windings]
  const chains: Link[][] = []
  for (let first = left.shift(); first; first = left.shift()) {
    let chain = [forwards(first)]
    for (let longer = grown(chain, left); longer; longer = grown(chain, left)) chain = longer
    chains.push(chain)
  }
  return chains
}

/** The chain with one more link, taken from what is left; undefined where none fits at either end. */
function grown(chain: Link[], left: Winding[]): Link[] | undefined {
  const head = chain[0]?.from
  const tail = chain.at(-1)?.to
  for (const [i, next] of left.entries()) {
    const longer =
      next.from === tail
        ? [...chain, forwards(next)]
        : next.to === tail
          ? [...chain, backwards(next)]
          : next.to === head
            ? [forwards(next), ...chain]
            : next.from === head
              ? [backwards(next), ...chain]
              : undefined
    if (!longer) continue
    left.splice(i, 1)
    return longer
  }
  return undefined
}
