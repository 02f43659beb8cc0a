import datatable from '@primeuix/themes/aura/datatable'
import virtualscroller from '@primeuix/themes/aura/virtualscroller'
import { dress } from './dress'

const line = 'var(--hairline)'
const lines = {
  root: { borderColor: line },
  row: { stripedBackground: 'transparent' },
  bodyCell: { selectedBorderColor: line },
}
const cell = { padding: '6px 16px 6px 0', borderColor: line }

/** Tables: thin lines, no boxes, a head in the muted ink. */
dress({
  virtualscroller,
  datatable: {
    ...datatable,
    root: { ...datatable.root, transitionDuration: '0s' },
    headerCell: {
      ...datatable.headerCell,
      ...cell,
      background: 'transparent',
      hoverBackground: 'var(--tint)',
      selectedBackground: 'transparent',
      color: 'var(--muted)',
      hoverColor: 'var(--ink)',
    },
    row: { ...datatable.row, background: 'transparent', hoverBackground: 'var(--panel)', color: 'var(--ink)' },
    bodyCell: { ...datatable.bodyCell, ...cell },
    footerCell: { ...datatable.footerCell, ...cell, background: 'transparent' },
    colorScheme: { light: lines, dark: lines },
  },
})
