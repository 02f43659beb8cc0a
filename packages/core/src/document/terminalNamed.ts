import type { Card, Terminal } from './card'

const split = /[\s,;–—+-]+/

/**
 * A text as the names of terminals are compared by: small letters, and words apart from what stands between them.
 * @example
 * nameTokens('Violet/White – tan') // [ 'violet/white', 'tan' ]
 */
export const nameTokens = (text: string): string[] =>
  text
    .normalize('NFC')
    .toLowerCase()
    .split(split)
    .filter((token) => token !== '')

/**
 * The terminal that a person's words name whole: by its label, an alias or its id.
 * @returns undefined where none is called so
 * @example
 * terminalNamed('Grey', scenes.low().run.card)?.id // 'G'
 */
export function terminalNamed(text: string, { terminals }: Pick<Card, 'terminals'>): Terminal | undefined {
  const said = nameTokens(text).join(' ')
  if (said === '') return undefined
  return terminals.find(({ id, label, aliases }) =>
    [label, ...aliases, id].some((name) => nameTokens(name).join(' ') === said),
  )
}
