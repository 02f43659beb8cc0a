import drawer from '@primeuix/themes/aura/drawer'
import fileupload from '@primeuix/themes/aura/fileupload'
import message from '@primeuix/themes/aura/message'
import popover from '@primeuix/themes/aura/popover'
import progressbar from '@primeuix/themes/aura/progressbar'
import skeleton from '@primeuix/themes/aura/skeleton'
import tabs from '@primeuix/themes/aura/tabs'
import tag from '@primeuix/themes/aura/tag'
import { dress } from './dress'

const plain = (color: string) => ({
  background: 'var(--panel)',
  borderColor: color,
  color: 'var(--ink)',
  shadow: 'none',
  outlined: { color: 'var(--ink)', borderColor: color },
  simple: { color: 'var(--ink)' },
})
const messages = {
  info: plain('var(--copper)'),
  success: plain('var(--within)'),
  warn: plain('var(--borderline)'),
  error: plain('var(--outside)'),
  secondary: plain('var(--hairline)'),
  contrast: plain('var(--ink)'),
}
const label = { background: 'transparent', color: 'var(--ink)' }
const labels = {
  primary: label,
  secondary: label,
  success: label,
  info: label,
  warn: label,
  danger: label,
  contrast: label,
}
const waiting = { root: { background: 'var(--tint)', animationBackground: 'var(--panel)' } }

/** What says how it stands: messages, progress, what is being fetched, small labels, panels that open. */
dress({
  message: { ...message, colorScheme: { light: messages, dark: messages } },
  tag: { ...tag, colorScheme: { light: labels, dark: labels } },
  skeleton: { ...skeleton, colorScheme: { light: waiting, dark: waiting } },
  progressbar: {
    ...progressbar,
    root: { background: 'var(--tint)', borderRadius: '0', height: '10px' },
    value: { background: 'var(--copper)' },
  },
  tabs,
  drawer,
  popover,
  fileupload,
})
