import { expect, test } from '@jest/globals'
import type { Card, Plug } from '@sure-spool/core'
import { plugLabel } from './points'

const card = {
  variants: [
    { id: 'r', label: 'remote control' },
    { id: 't', label: 'tiller' },
  ],
} as Card
const plug = (...only: string[]) => ({ label: 'coils', ...(only.length > 0 ? { only } : {}) }) as Plug

test('a plug says whose it is where it is not everybody’s', () => {
  expect(plugLabel(card, plug())).toBe('coils')
  expect(plugLabel(card, plug('t'))).toBe('coils (tiller)')
  expect(plugLabel(card, plug('r', 't'))).toBe('coils (remote control, tiller)')
})
