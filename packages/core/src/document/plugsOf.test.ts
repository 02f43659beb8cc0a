import { describe, expect, test } from '@jest/globals'
import type { Plug } from './card'
import { plugsOf } from './plugsOf'

const plug = (id: string, ...only: string[]): Plug => ({
  id,
  label: id,
  shape: 'row',
  size: { count: 1 },
  key: { kind: 'none', side: 'top' },
  drawnFrom: 'outside',
  cavities: [],
  ...(only.length > 0 ? { only } : {}),
})
const ids = (plugs: Plug[], variant?: string) => plugsOf({ plugs }, variant).map(({ id }) => id)

describe('the plugs of a variant', () => {
  const plugs = [plug('both'), plug('grid', 'remote'), plug('row', 'tiller', 'long')]
  test('its own and those for any', () => {
    expect(ids(plugs, 'tiller')).toEqual(['both', 'row'])
    expect(ids(plugs, 'remote')).toEqual(['both', 'grid'])
  })
  test('not known: those for any, and all of them where each is for some', () => {
    expect(ids(plugs)).toEqual(['both'])
    expect(ids(plugs.slice(1))).toEqual(['grid', 'row'])
    expect(ids(plugs.slice(1), 'another')).toEqual(['grid', 'row'])
  })
})
