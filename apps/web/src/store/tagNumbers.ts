import { tagsInBlock, type TagBlock } from '@sure-spool/contract'
import { useLocalStorage } from '@vueuse/core'
import { ask } from './api'

/** With so few left, more are asked for: a bench may be away soon. */
const few = Math.ceil(tagsInBlock / 3)

/**
 * Numbers of tags that this browser alone gives, shared by its tabs: with them it names parts also while the server is away. Without any the
 * tag is a guess, and the server renames the part where another has it.
 * @param prefix the shop's; numbers of another one are given back by nobody and dropped
 */
export function tagNumbers(prefix: () => string) {
  const blocks = useLocalStorage<TagBlock[]>('spool.tags', [])
  const own = () => blocks.value.filter((one) => one.prefix === prefix())
  const left = () => own().reduce((sum, { from, to }) => sum + to - from + 1, 0)
  let asking = false

  /** The next of its own; none where it has none. */
  const next = (): string | undefined => {
    const [first] = own()
    return first && `${first.prefix}${String(first.from).padStart(4, '0')}`
  }

  /** A tag that was given: where it was the next of its own, the one behind it is the next. */
  function given(tag: string): void {
    const [first, ...more] = own()
    if (!first || tag !== next()) return
    blocks.value = [...(first.from < first.to ? [{ ...first, from: first.from + 1 }] : []), ...more]
  }

  /** Asks for more where few are left. While the server is away, or to whoever only reads, none are given. */
  async function stock(by: string | undefined): Promise<void> {
    if (asking || by === undefined || left() > few) return
    asking = true
    const block = await ask<TagBlock>('/shop/tags', { method: 'POST', body: { by } }).catch(() => undefined)
    asking = false
    if (block && block.prefix === prefix()) blocks.value = [...own(), block]
  }

  return { next, given, stock }
}
