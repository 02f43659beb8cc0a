import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'

const variable = (name: string) => `var(--${name})`

/** The controls' tokens, drawn from our own colours: square-ish, flat, one copper line for focus. */
const scheme = {
  primary: {
    color: variable('button'),
    contrastColor: variable('button-text'),
    hoverColor: variable('button'),
    activeColor: variable('button'),
  },
  formField: {
    background: variable('panel'),
    color: variable('ink'),
    borderColor: variable('muted'),
    hoverBorderColor: variable('ink'),
    focusBorderColor: variable('copper'),
    placeholderColor: variable('muted'),
    shadow: 'none',
  },
  text: { color: variable('ink'), mutedColor: variable('muted') },
  overlay: { modal: { background: variable('panel'), borderColor: variable('hairline'), color: variable('ink') } },
}

export const theme = {
  preset: definePreset(
    { ...base, components: { button, dialog, inputtext } },
    {
      primitive: { borderRadius: { none: '0', xs: '1px', sm: '2px', md: '2px', lg: '2px', xl: '2px' } },
      semantic: {
        focusRing: { width: '3px', style: 'solid', color: variable('copper'), offset: '2px', shadow: 'none' },
        formField: { paddingX: '0.75rem', paddingY: '0.6rem', borderRadius: '2px' },
        colorScheme: { light: scheme, dark: scheme },
      },
      components: {
        button: {
          root: { label: { fontWeight: '650' } },
          colorScheme: Object.fromEntries(
            ['light', 'dark'].map((name) => [
              name,
              {
                outlined: {
                  secondary: {
                    color: variable('ink'),
                    borderColor: variable('ink'),
                    hoverBackground: variable('tint'),
                    activeBackground: variable('tint'),
                  },
                },
                text: {
                  secondary: {
                    color: variable('ink'),
                    hoverBackground: variable('tint'),
                    activeBackground: variable('tint'),
                  },
                },
              },
            ]),
          ),
        },
      },
    },
  ),
  options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false },
}
