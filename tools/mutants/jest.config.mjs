/** Jest as Stryker runs it, in a copy of the house: one project at a time, and of its tests those that are said to hold the room. */
import house from '../../jest.config.mjs'

const wanted = { core: ['core', 'vectors'], contract: ['contract'], server: ['server'], web: ['web'] }[
  process.env.MUTANTS_OF ?? 'core'
]
const near = (process.env.MUTANTS_NEAR ?? '').split(',').filter(Boolean)
const projects = house.projects.filter(({ displayName }) => wanted.includes(displayName))
const [{ transform, extensionsToTreatAsEsm, testEnvironment, setupFiles = [] }] = projects

export default {
  rootDir: '../..',
  transform,
  extensionsToTreatAsEsm,
  testEnvironment,
  setupFiles: [...setupFiles, '<rootDir>/tools/mutants/fewDraws.mjs'],
  globals: { fewDraws: true },
  roots: projects.flatMap(({ roots }) => roots),
  testMatch: near.length === 0 ? ['**/*.test.ts'] : near.map((one) => `**/${one}{/**/*,*}.test.ts`),
  // a killed or a starved process, or long runs judged from nothing, are not a matter of one line and take their time
  testPathIgnorePatterns: ['/node_modules/', 'killed', 'memory', 'oneLonger'],
}
