import { expect, test } from '@jest/globals'
import { coarseCard, Script } from '../testing'

const room = { kind: 'temperature', part: 'room', roomC: 20 } as const
const inPlace = () => new Script(coarseCard()).put(room).read('ignition', '0.78')
const firings = (script: Script, id: string) => script.state().remarks.filter((one) => one.id === id)
const readings = ({ run }: Script) => run.entries.filter(({ kind }) => kind === 'reading').map(({ id }) => id)

test('two questions of one set-up are two, and each is asked once of all that was read under it', () => {
  const script = inPlace().read('lighting', '0.9')
  for (const id of ['not-isolated', 'leads-matter']) expect(firings(script, id)).toHaveLength(1)
  expect(firings(script, 'not-isolated')[0]?.holds).toEqual(readings(script))
})

test('answered, it holds nothing that is read later under it', () => {
  const script = inPlace().put({ kind: 'answer', remark: 'not-isolated', reason: 'nothing is beside it' })
  const held = readings(script)
  expect(firings(script.read('lighting', '0.9'), 'not-isolated')).toMatchObject([
    { holds: held, answered: { by: 'answer' } },
  ])
})
