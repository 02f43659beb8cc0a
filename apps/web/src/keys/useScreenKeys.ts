import { inject, onScopeDispose, provide, ref, watch, type InjectionKey } from 'vue'
import { afterPaint } from '../store/afterPaint'
import { enterKeys, situationBegins, type StandingKeys } from './registry'
import { isThere, type KeyAct, type KeyStatement } from './statement'

/** A screen's keys, for the buttons on it. */
export interface ScreenKeys<Act extends string = string> {
  act: (name: Act) => KeyAct
  /** whether the act is there in the situation that is shown: the one that stands, or the one of a frame before */
  awake: (name: Act) => boolean
  /** as if the key had been pressed: the act’s first one where none is named */
  press: (name: Act, key?: string) => void
}

const screenKeys: InjectionKey<ScreenKeys> = Symbol('the screen’s keys')

/**
 * Puts a screen's keys in force while its component is there.
 * @param situation the one of its situations that it is in
 * @param acts what each key does; one that returns false leaves the key to others
 * @param type takes what prints while a line is open
 */
export function useScreenKeys<Act extends string, Situation extends string>(
  statement: KeyStatement<Act, Situation>,
  situation: () => Situation,
  acts: Record<Act, (key: string) => unknown>,
  type?: (key: string) => void,
): ScreenKeys<Act> {
  const standing: StandingKeys = { statement, situation, acts, ...(type ? { type } : {}) }
  onScopeDispose(enterKeys(standing))
  // keys act at once, and their caps wake or sleep a frame later: what was done is painted first
  const shown = ref(situation())
  const show = () => void (shown.value = situation())
  watch(
    situation,
    (name, before) => {
      situationBegins(statement.screen, name)
      if (before !== undefined) afterPaint(show)
    },
    { immediate: true, flush: 'sync' },
  )
  const keys: ScreenKeys<Act> = {
    act: (name) => statement.acts[name],
    awake: (name) => isThere(statement.acts[name], shown.value),
    press: (name, key = statement.acts[name].keys[0] ?? '') => void acts[name](key),
  }
  provide(screenKeys, keys as ScreenKeys)
  return keys
}

/** The keys of the screen that a button stands on. */
export function useKeysOfScreen(): ScreenKeys {
  const keys = inject(screenKeys)
  if (!keys) throw new Error('A button with a key stands on no screen.')
  return keys
}
