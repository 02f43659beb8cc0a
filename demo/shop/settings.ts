import type { ShopSettings } from '@sure-spool/contract'

export const settings: ShopSettings = {
  name: 'Sallow Quay Bench',
  rule: 'guarded',
  rewindHabit: 'failed-coil',
  decimalComma: false,
  paper: 'A4',
  tagPrefix: 'SQ-',
}
