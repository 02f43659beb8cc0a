/**
 * What is put to the test: each room, the tests that hold it (a Jest project; core's with its vectors), and the share of planted faults
 * that these must find, per cent.
 */
const core = (name) => ({ name, folders: [`packages/core/src/${name}`], tests: 'core', target: 85 })

export const rooms = [
  ...['judgement', 'sense', 'state', 'causes', 'plan'].map(core),
  { name: 'contract', folders: ['packages/contract/src'], tests: 'contract', target: 75 },
  {
    name: 'server',
    folders: ['apps/server/src/services', 'apps/server/src/repositories'],
    tests: 'server',
    target: 75,
  },
  { name: 'web', folders: ['apps/web/src/store', 'apps/web/src/words'], tests: 'web', target: 75 },
]
