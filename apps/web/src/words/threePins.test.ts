import { describe, expect, test } from '@jest/globals'
import { compressorCard, Script, twinCard } from '@sure-spool/core/testing'
import { figuresWith } from './figures'
import { pinTriangle } from './threePins'

const figures = figuresWith(() => false)
const read = (...pairs: [a: string, b: string, text: string][]) =>
  pairs.reduce(
    (script, [a, b, text]) => script.read('pins', text, { pair: [a, b] }),
    new Script(compressorCard()).ready(),
  )
const triangle = (script: Script, here?: [string, string]) => pinTriangle(script.state(), here, figures)
const sides = (script: Script) =>
  Object.fromEntries((triangle(script)?.sides ?? []).map(({ a, b, kind }) => [`${a}${b}`, kind]))

describe('three pins as a triangle', () => {
  test('fills up as they are read', () => {
    expect(sides(read())).toEqual({ CR: 'unread', RS: 'unread', SC: 'unread' })
    expect(sides(read(['C', 'R', '4.9']))).toEqual({ CR: 'winding', RS: 'unread', SC: 'unread' })
    expect(triangle(read(['C', 'R', '4.9']), ['R', 'C'])?.sides.map(({ here }) => here)).toEqual([true, false, false])
  })

  test('a run and a start winding name the pins, and the pair of both is no winding of its own', () => {
    const split = read(['C', 'R', '4.9'], ['C', 'S', '11.7'], ['R', 'S', '16.6'])
    expect(sides(split)).toEqual({ CR: 'winding', RS: 'sum', SC: 'winding' })
    expect(triangle(split)?.pins.map(({ label, role }) => `${label} ${role}`)).toEqual(['C common', 'R run', 'S start'])
    expect(triangle(split)?.said.replaceAll('\u2009', ' ')).toBe('C–R 4.9 Ω; R–S 16.6 Ω; S–C 11.7 Ω')
  })

  test('an open pair is no path, and names nobody', () => {
    const open = read(['C', 'R', '4.9'], ['C', 'S', 'OL 40M'], ['R', 'S', 'OL 40M'])
    expect(sides(open)).toEqual({ CR: 'winding', RS: 'open', SC: 'open' })
    expect(triangle(open)?.pins.map(({ role }) => role)).toEqual(['', '', ''])
  })

  test('no other part has one', () => expect(triangle(new Script(twinCard()).ready())).toBeUndefined())
})
