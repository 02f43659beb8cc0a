import { describe, expect, test } from '@jest/globals'
import type { Reading } from '../document'
import { chargingCard } from '../testing'
import { on, pair } from '../testing/causing'

/** The three leads to the frame, each as it reads: bent or as it lies. */
const bent = (lead: string, where?: string): Partial<Reading> => ({
  ...pair(lead, 'frame'),
  conditions: { state: ['flexed'] },
  ...(where === undefined ? {} : { where }),
})
const leads = (...readings: [text: string, more: Partial<Reading>, check?: string][]) => {
  const script = on(chargingCard()).put({ kind: 'proof', of: 'same-metal', text: '0.1' })
  for (const [text, more, check = 'flex'] of readings) script.read(check, text, more)
  return script.state().causes.find(({ kind }) => kind === 'to-frame')?.bent
}

describe('a lead that reaches the frame while it is bent', () => {
  test('is named, with the place of its first touch where that was said', () => {
    expect(leads(['2.1 Ω', bent('W', 'the clamp')])).toEqual({ lead: 'W', where: 'the clamp' })
    expect(leads(['2.1 Ω', bent('W')])).toEqual({ lead: 'W' })
    const hot = { ...bent('W', 'the plug'), conditions: { state: ['flexed' as const, 'hot' as const] } }
    expect(leads(['2.1 Ω', bent('W', 'the clamp')], ['1.9 Ω', hot])).toEqual({ lead: 'W', where: 'the clamp' })
  })

  test('is named beside another that held, and beside a winding that is off', () => {
    expect(leads(['> 20M', bent('V')], ['2.1 Ω', bent('W')])).toEqual({ lead: 'W' })
    expect(leads(['0.31', { contact: 'clips' }, 'uv'], ['2.1 Ω', bent('W')])).toEqual({ lead: 'W' })
  })

  test('is not named where two of them reach it, or where it does so as it lies', () => {
    expect(leads(['2.1 Ω', bent('W')], ['2.0 Ω', bent('V')])).toBeUndefined()
    expect(leads(['2.1 Ω', { ...pair('W', 'frame'), conditions: { state: ['hot'] } }])).toBeUndefined()
    expect(leads(['2.1 Ω', pair('W', 'frame')])).toBeUndefined()
    expect(leads(['2.1 Ω', pair('W', 'frame')], ['2.1 Ω', bent('W')])).toBeUndefined()
  })
})
