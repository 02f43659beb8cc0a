/**
 * What is put to the test: each room, the tests that hold it (a Jest project; core's with its vectors; where `under` is given, those of
 * its folders alone), and the share of planted faults that these must find, per cent. Tests that keep nothing between their files, no
 * database and no screen, are loaded `together`, once for a fault.
 */
const core = (name) => ({ name, folders: [`packages/core/src/${name}`], tests: 'core', together: true, target: 85 })

/** A package's name as that of a file. */
export const fileOf = (name) => name.replaceAll(/\W+/g, '-').replace(/^-/, '')

export const rooms = [
  ...['judgement', 'sense', 'state', 'causes', 'plan'].map(core),
  { name: 'contract', folders: ['packages/contract/src'], tests: 'contract', together: true, target: 75 },
  {
    name: 'server',
    folders: ['apps/server/src/services', 'apps/server/src/repositories'],
    tests: 'server',
    target: 75,
  },
  { name: 'words', folders: ['apps/web/src/words'], tests: 'web', under: ['words'], together: true, target: 75 },
  {
    name: 'stores',
    folders: ['apps/web/src/store'],
    tests: 'web',
    under: ['store', 'write', 'queue', 'tray', 'winder'],
    target: 75,
  },
]
