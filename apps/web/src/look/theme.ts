import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'

const variable = (name: string) => `var(--${name})`
const all = (value: string, ...steps: number[]) => Object.fromEntries(steps.map((step) => [step, value]))

/** The controls' own scales, drawn from our few colours: whatever a control takes its paint from, it is ours. */
const inks = all(variable('ink'), 50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950)
const papers = {
  ...all(variable('panel'), 0, 50),
  ...all(variable('tint'), 100, 200),
  ...all(variable('hairline'), 300),
  ...all(variable('muted'), 400, 500, 600),
  ...all(variable('ink'), 700, 800, 900, 950),
}

/** The controls' tokens: square-ish, flat, one copper line for focus, the same in both lights, since the colours change and not they. */
const scheme = {
  surface: papers,
  primary: {
    color: variable('button'),
    contrastColor: variable('button-text'),
    hoverColor: variable('button'),
    activeColor: variable('button'),
  },
  highlight: {
    background: variable('tint'),
    focusBackground: variable('tint'),
    color: variable('ink'),
    focusColor: variable('ink'),
  },
  mask: { background: 'rgb(0 0 0 / 45%)', color: variable('ink') },
  formField: {
    background: variable('panel'),
    disabledBackground: variable('paper'),
    filledBackground: variable('panel'),
    filledHoverBackground: variable('panel'),
    filledFocusBackground: variable('panel'),
    color: variable('ink'),
    disabledColor: variable('muted'),
    borderColor: variable('muted'),
    hoverBorderColor: variable('ink'),
    focusBorderColor: variable('copper'),
    invalidBorderColor: variable('outside'),
    placeholderColor: variable('muted'),
    invalidPlaceholderColor: variable('outside'),
    iconColor: variable('ink'),
    shadow: 'none',
  },
  text: {
    color: variable('ink'),
    hoverColor: variable('ink'),
    mutedColor: variable('muted'),
    hoverMutedColor: variable('ink'),
  },
  content: {
    background: variable('panel'),
    hoverBackground: variable('tint'),
    borderColor: variable('hairline'),
    color: variable('ink'),
    hoverColor: variable('ink'),
  },
  overlay: {
    select: { background: variable('panel'), borderColor: variable('ink'), color: variable('ink') },
    popover: { background: variable('panel'), borderColor: variable('ink'), color: variable('ink') },
    modal: { background: variable('panel'), borderColor: variable('hairline'), color: variable('ink') },
  },
  list: {
    option: {
      focusBackground: variable('tint'),
      selectedBackground: variable('paper'),
      selectedFocusBackground: variable('tint'),
      color: variable('ink'),
      focusColor: variable('ink'),
      selectedColor: variable('ink'),
      selectedFocusColor: variable('ink'),
      icon: { color: variable('muted'), focusColor: variable('ink') },
    },
  },
}
const outlined = {
  color: variable('ink'),
  borderColor: variable('ink'),
  hoverBackground: variable('tint'),
  activeBackground: variable('tint'),
}
const bare = { color: variable('ink'), hoverBackground: variable('tint'), activeBackground: variable('tint') }
const both = <T>(one: T) => ({ light: one, dark: one })
const flat = { borderRadius: '2px', shadow: 'none' }

export const theme = {
  preset: definePreset(
    { ...base, components: { button, dialog, inputtext } },
    {
      primitive: { borderRadius: { none: '0', xs: '1px', sm: '2px', md: '2px', lg: '2px', xl: '2px' } },
      semantic: {
        transitionDuration: '80ms',
        focusRing: { width: '3px', style: 'solid', color: variable('copper'), offset: '2px', shadow: 'none' },
        disabledOpacity: '0.55',
        primary: inks,
        formField: {
          paddingX: '0.75rem',
          paddingY: '0.6rem',
          borderRadius: '2px',
          focusRing: { width: '3px', style: 'solid', color: variable('copper'), offset: '2px', shadow: 'none' },
        },
        list: { padding: '0', gap: '0', option: { padding: '0.6rem 0.75rem', borderRadius: '0' } },
        overlay: { select: flat, popover: { ...flat, padding: '0.75rem' }, modal: { ...flat, padding: '1.25rem' } },
        colorScheme: both(scheme),
      },
      components: {
        button: {
          root: { label: { fontWeight: '650' } },
          colorScheme: both({ outlined: { secondary: outlined }, text: { secondary: bare } }),
        },
      },
    },
  ),
  options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false },
}
