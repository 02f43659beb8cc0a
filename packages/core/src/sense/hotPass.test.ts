import { expect, test } from '@jest/globals'
import { Script, twinCard } from '../testing'

const cold = () => new Script(twinCard()).ready().read('low', '322').read('high', '36.5').read('series', '358.4')
/** What is said once the part was warmed, and one winding is read again. */
const hot = (text: string, partC = 65, check = 'low') => {
  const script = cold().put({ kind: 'decision', what: 'more-tests', why: 'hot' })
  script.put({ kind: 'temperature', part: 'measured', partC }).read(check, text)
  const entry = script.run.entries.at(-1)?.id
  return script
    .state()
    .remarks.filter((one) => one.entry === entry)
    .map(({ id }) => id)
}

test('a winding that reads more because it was warmed is no bad contact, and not beyond its whole', () => {
  expect(hot('379')).toEqual([])
  expect(hot('422', 65, 'series')).toEqual([])
})

test('one that does not follow its metal is asked about', () => {
  expect(hot('400')).toContain('repeats-apart')
  expect(hot('340')).toContain('repeats-apart')
})

test('as cold as before, what rose is a contact; a part above its whole is beyond physics', () => {
  const script = cold().read('low', '379')
  const entry = script.run.entries.at(-1)?.id
  const said = script
    .state()
    .remarks.filter((one) => one.entry === entry)
    .map(({ id }) => id)
  expect(said).toEqual(expect.arrayContaining(['repeats-apart', 'beyond-physics']))
  expect(hot('440')).toContain('beyond-physics')
})

test('what reads hot as it did cold is no bad contact, but adds up with the others no more', () => {
  expect(hot('322')).toEqual(['sum-off'])
})
