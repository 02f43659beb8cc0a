import { expect, test } from '@jest/globals'
import { cardHelp } from './cardHelp'
import { worldOf } from './world'

const world = worldOf('heavy_thread')
const { by, draft } = cardHelp(world)

test('a thread that dies is told, and the next work gets another', async () => {
  const cards = Array.from({ length: 300 }, () => draft({ state: 'published' }))
  const body = () => new TextEncoder().encode([{ by: by() }, ...cards].map((one) => JSON.stringify(one)).join('\n'))
  const work = world.heavy.run(
    'import-cards',
    { bytes: body(), lines: true, by: null },
    { told: () => void world.heavy.close() },
  )
  await expect(work).rejects.toMatchObject({ status: 503 })
  const again = JSON.parse(await world.heavy.run('import-cards', { bytes: body(), lines: true, by: null })) as {
    kept: number
  }
  expect(again.kept).toBe(300)
})
