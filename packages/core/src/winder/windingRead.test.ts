import { expect, test } from '@jest/globals'
import { Script, twinCard } from '../testing'
import { windingRead } from './windingRead'

const read = (script: Script, winding = 'low') => windingRead(script.state(), winding)

test('what stands between the two ends of a winding, either way round, and nothing else', () => {
  const script = new Script(twinCard()).ready().read('low', '322').read('high', '36.5').read('series', '358.4')
  expect(read(script)).toMatchObject({ net: 322, check: { id: 'low' } })
  expect(read(script, 'high')).toMatchObject({ net: 36.5 })
  expect(read(script, 'trigger')).toBeUndefined()
  expect(read(script, 'none such')).toBeUndefined()
  expect(read(new Script(twinCard()).read('low', '322'))).toBeUndefined()
})
