/**
 * What is put to the test: each room, the tests that hold it (a Jest project, and which of its folders), and the share of planted faults
 * that these must find, per cent. A fault that only a test further off would find counts as missed.
 */
export const rooms = [
  {
    name: 'judgement',
    folders: ['packages/core/src/judgement'],
    tests: 'core',
    near: ['judgement', 'conformance', 'state/[kmr]*'],
    target: 85,
  },
  { name: 'sense', folders: ['packages/core/src/sense'], tests: 'core', near: ['sense'], target: 85 },
  {
    name: 'state',
    folders: ['packages/core/src/state'],
    tests: 'core',
    near: ['state'],
    target: 85,
  },
  { name: 'causes', folders: ['packages/core/src/causes'], tests: 'core', near: ['causes'], target: 85 },
  { name: 'plan', folders: ['packages/core/src/plan'], tests: 'core', near: ['plan', 'state/path'], target: 85 },
  { name: 'contract', folders: ['packages/contract/src'], tests: 'contract', target: 75 },
  {
    name: 'server',
    folders: ['apps/server/src/services', 'apps/server/src/repositories'],
    tests: 'server',
    target: 75,
  },
  { name: 'web', folders: ['apps/web/src/store', 'apps/web/src/words'], tests: 'web', target: 75 },
]
