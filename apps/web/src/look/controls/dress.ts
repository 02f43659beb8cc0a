import { updatePreset } from '@primeuix/themes'

const worn = new Set<string>()

/**
 * Gives controls their tokens when the first screen that has them is loaded, so that the first screen of all does not carry them.
 * @param tokens a control's tokens under its name, on top of the theme
 */
export function dress(tokens: Record<string, object>): void {
  const fresh = Object.fromEntries(Object.entries(tokens).filter(([name]) => !worn.has(name)))
  Object.keys(fresh).forEach((name) => worn.add(name))
  if (Object.keys(fresh).length > 0) updatePreset({ components: fresh })
}
