import { describe, expect, test } from '@jest/globals'
import { emptyLine, isBare, keptText, openLine, opens, overLine, press, type Line } from './line'

const type = (line: Line, keys: string) => [...keys].reduce(press, line)

describe('the typed line', () => {
  test('digits, marks and signs open it; letters are commands then', () => {
    expect([...'0123456789.,-<>~'].every(opens)).toBe(true)
    expect([...'abstOk* '].some(opens)).toBe(false)
  })

  test('it keeps what was shown: its prefix, until another is typed', () => {
    expect(keptText(type(openLine('1', 'k'), '1.4'))).toBe('11.4k')
    expect(keptText(type(openLine('1', 'k'), '1.4M'))).toBe('11.4M')
    expect(keptText(openLine('20', 'M'))).toBe('20M')
    expect(keptText(type(openLine('>', 'M'), '20'))).toBe('>20M')
  })

  test('the star steps the prefix round, so that the numeric pad suffices', () => {
    const steps = [...'*****'].reduce<string[]>(
      (seen) => [...seen, press({ ...emptyLine, prefix: seen.at(-1) ?? '' }, '*').prefix],
      [''],
    )
    expect(steps).toEqual(['', 'k', 'M', 'G', 'm', ''])
  })

  test('o writes the over-range word with the range, and swallows the letters that follow of themselves', () => {
    expect(keptText(type(overLine('20M'), 'l'))).toBe('OL 20M')
    expect(keptText(type(overLine(''), 'pen'))).toBe('OL')
    expect(keptText(type(overLine('20M'), 'k'))).toBe('OL 20Mk')
    expect(keptText(type(overLine('20M'), '200k'))).toBe('OL 200k')
    expect(keptText(type(overLine('20M'), 'l200'))).toBe('OL 200')
    expect(press(overLine('20M'), 'Backspace').text).toBe('OL ')
  })

  test('backspace takes one sign, and nothing grows without end', () => {
    expect(press(openLine('31', ''), 'Backspace').text).toBe('3')
    expect(type(openLine('', ''), '9'.repeat(300)).text).toHaveLength(200)
    expect(press(openLine('3', ''), 'ArrowLeft').text).toBe('3')
  })

  test('a figure with its own unit is not bare', () => {
    expect([isBare('318'), isBare('~318'), isBare('318 Ω'), isBare('OL')]).toEqual([true, true, false, false])
  })
})

test('the prefix on the line belongs to the figure, also where something stands behind it', () => {
  const kept = (text: string, prefix = 'k') => keptText({ ...emptyLine, text, prefix })
  expect(kept('3.62')).toBe('3.62k')
  expect(kept('3.62 @ 0.64')).toBe('3.62k @ 0.64')
  expect(kept('3.62@0.64')).toBe('3.62k @0.64')
  expect(kept('3.62M @ 0.64')).toBe('3.62M @ 0.64')
  expect(kept('43.4 @ 2570 rpm', '')).toBe('43.4 @ 2570 rpm')
  expect(kept('OL @ 20M')).toBe('OL @ 20M')
})
