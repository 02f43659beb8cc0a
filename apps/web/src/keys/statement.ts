/** One thing a key does on a screen. */
export interface KeyAct {
  /** the keys that do it, as `KeyboardEvent.key` names them; with Ctrl held as `Ctrl+z` */
  keys: readonly string[]
  /** what it does, in the words of its button and of the help */
  label: string
  /** in which of the screen's situations it is there; in all of them where not said */
  when?: readonly string[]
  /** how the key is written, where it is not the first of `keys` */
  cap?: string
  /** holding it down repeats it: moving, deleting */
  repeats?: true
  /** it does nothing in the first moments of its situation: what was pressed for the last one must not decide this one */
  settles?: true
}

/**
 * What the keys do on one screen, stated once: the registry dispatches them, buttons show them, the help lists them. A screen is in one
 * situation at a time, and in each a key means one thing.
 */
export interface KeyStatement<Act extends string = string, Situation extends string = string> {
  screen: string
  situations: readonly Situation[]
  acts: Record<Act, KeyAct>
  /** the situations in which a line is open, and what prints belongs to it */
  typing?: readonly Situation[]
}

/** States a screen's keys; types hold its acts and situations to what is stated. */
export function stateKeys<const Act extends string, const Situation extends string>(
  screen: string,
  situations: readonly Situation[],
  acts: Record<Act, KeyAct & { when?: readonly Situation[] }>,
  typing: readonly Situation[] = [],
): KeyStatement<Act, Situation> {
  return { screen, situations, acts, typing }
}

/** Whether an act is there in a situation. */
export const isThere = (act: KeyAct, situation: string): boolean =>
  act.when === undefined || act.when.includes(situation)

/**
 * Keys that mean two things in one situation of a screen, or on it and everywhere.
 * @returns a sentence a clash; none where every key means one thing
 */
export function clashesIn(statement: KeyStatement, everywhere: KeyStatement): string[] {
  return statement.situations.flatMap((situation) => {
    const seen = new Map<string, string>()
    const all = [...Object.values(statement.acts), ...Object.values(everywhere.acts)]
    return all
      .filter((act) => isThere(act, situation))
      .flatMap((act) =>
        act.keys.flatMap((key) => {
          const other = seen.get(key)
          seen.set(key, act.label)
          return other === undefined
            ? []
            : [`On ${statement.screen}, ${situation}: ${key} is “${other}” and “${act.label}”.`]
        }),
      )
  })
}

/** How an act's key is written on its cap and in the help. */
export const capOf = ({ keys, cap }: KeyAct): string => cap ?? written(keys[0] ?? '')

const names: Record<string, string> = {
  ArrowUp: 'Up',
  ArrowDown: 'Down',
  ArrowLeft: 'Left',
  ArrowRight: 'Right',
  Escape: 'Esc',
  ' ': 'Space',
  Delete: 'Del',
}
const written = (key: string): string => {
  if (key.startsWith('Ctrl+'))
    return key
      .split('+')
      .map((one) => (one.length === 1 ? one.toUpperCase() : namedOf(one)))
      .join(' ')
  return /^[A-Z]$/.test(key) ? `Shift ${key}` : namedOf(key)
}
const namedOf = (key: string): string => names[key] ?? key
