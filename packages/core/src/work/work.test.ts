import { describe, expect, test } from '@jest/globals'
import type { EntryBody, EntryOf } from '../document'
import { demoCard, Script, twinCard } from '../testing'
import { itemOfPlace, stillOff } from './places'
import { typedLook } from './typedLook'
import { typedWork } from './typedWork'

const card = twinCard()
const off = (what: 'off' | 'unsolder', place: string): EntryBody => ({ kind: 'work', what, place })
const worksOf = (script: Script): EntryOf<'work'>[] => [...script.state().tape.works]

describe('work as it is typed', () => {
  test.each([
    ['cleaned', 'clean', 'low'],
    ['Spliced grey', 'splice', 'G'],
    ['spliced violet/white', 'splice', 'VW'],
    ['reflow low-speed charge coil', 'reflow', 'low'],
    ['clean bars 17–18', 'clean', 'item 17'],
    ['cleaned lead 3', 'clean', 'item 3'],
    ['waxed the whole of it', 'fix', 'the whole of it'],
    ['lifted tan', 'off', 'T'],
    ['unsoldered the star', 'unsolder', 'the star'],
    ['ran', 'run', 'low'],
  ])('%s', (text, what, place) =>
    expect(typedWork(text, card, [], 'low')).toEqual({ work: { kind: 'work', what, place } }),
  )

  test('what is none of them is told, and nothing goes back on that is not off', () => {
    expect(typedWork('painted grey', card, [], 'low')).toEqual({ problem: expect.stringContaining('“painted”') })
    expect(typedWork('', card, [], 'low')).toEqual({ problem: expect.stringContaining('cleaned') })
    expect(typedWork('refitted', card, [], 'low')).toEqual({ problem: 'Nothing is off.' })
  })

  test('what was taken off goes back in reverse, or by its name, as it was taken', () => {
    const script = new Script(card).put(off('off', 'T')).put(off('unsolder', 'G'))
    const works = worksOf(script)
    expect(stillOff(works).map(({ place }) => place)).toEqual(['G', 'T'])
    const [grey, tan] = stillOff(works)
    const back = typedWork('refitted', card, stillOff(works), 'low')
    expect(back).toEqual({ work: { kind: 'work', what: 'solder', place: 'G', undoes: grey?.id } })
    expect(typedWork('refitted tan', card, stillOff(works), 'low')).toEqual({
      work: { kind: 'work', what: 'on', place: 'T', undoes: tan?.id },
    })
    expect(typedWork('refitted orange', card, stillOff(works), 'low')).toEqual({
      problem: expect.stringContaining('orange'),
    })
    if ('work' in back) script.put(back.work)
    expect(stillOff(worksOf(script)).map(({ place }) => place)).toEqual(['T'])
  })

  test('a place that names a bar or an item is its number', () => {
    expect(['bar 17', 'bars 17-18', 'Lead 3', 'item 4', 'number 2', 'slot 9'].map(itemOfPlace)).toEqual([
      17, 17, 3, 4, 2, 9,
    ])
    expect(['bar', '17', 'lead three', 'the bar 17', 'O'].map(itemOfPlace)).toEqual(Array(5).fill(undefined))
  })

  test('work at one item leaves the readings of the others', () => {
    const leads = demoCard('orrinvale-40-leads')
    const check = leads.checks.find(({ kind }) => kind === 'per-length')?.id ?? ''
    const script = new Script(leads).ready()
    for (const index of [1, 2]) script.read(check, '2.3k', { index, x: 0.41 })
    script.put({ kind: 'work', what: 'clean', place: 'item 2' })
    const read = () =>
      script
        .state()
        .checks.find((one) => one.check.id === check)
        ?.points.flatMap(({ evaluation }) => evaluation?.entry.reading.index ?? [])
    expect(read()).toEqual([1])
    script.put({ kind: 'work', what: 'clean', place: 'the boots' })
    expect(read()).toEqual([])
  })
})

describe('a look as it is typed', () => {
  test.each([
    ['chafed at the clamp', { place: 'the clamp', what: ['chafed'] }],
    ['chafed! at the clamp', { place: 'the clamp', what: ['chafed'], fault: true }],
    ['Burnt, smell second coil', { place: 'second coil', what: ['burnt', 'smell'] }],
    ['smells burnt at the second coil', { place: 'the second coil', what: ['smell'] }],
    ['broken wire on the start lug', { place: 'the start lug', what: ['broken-wire'] }],
    ['wet', { place: 'the part', what: ['wet'] }],
    ['damp in the sleeve', { place: 'the sleeve', what: ['wet'] }],
    ['fine at the clamp', { place: 'the clamp', what: ['sound'] }],
    ['sound! at the clamp', { place: 'the clamp', what: ['sound'] }],
  ])('%s', (text, look) => expect(typedLook(text, 'the part')).toEqual({ look: { kind: 'look', ...look } }))

  test.each(['', 'wetter', 'at the clamp', 'the clamp is burnt'])('“%s” is none', (text) =>
    expect(typedLook(text, 'the part')).toEqual({ problem: expect.stringContaining('corroded') }),
  )
})
