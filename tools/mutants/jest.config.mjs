/** Jest as Stryker runs it, in a copy of the house: the tests of one project, or of core with its vectors. */
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import house from '../../jest.config.mjs'
import { ours } from '../build.mjs'
import { fileOf, rooms } from './rooms.mjs'

const room = rooms.find(({ name }) => name === process.env.MUTANTS_OF) ?? rooms[0]
const { tests: of, together = false } = room
const top = join(import.meta.dirname, '../..')
const projects = house.projects.filter(({ displayName }) =>
  (of === 'core' ? ['core', 'vectors'] : [of]).includes(displayName),
)
const [{ transform, extensionsToTreatAsEsm, setupFiles = [] }] = projects
const roots = projects
  .flatMap(({ roots }) => roots)
  .map((folder) => folder.replace('<rootDir>', top))
  .flatMap((folder) => room.under?.map((under) => join(folder, under)) ?? [folder])
// killed, starved or several processes or threads, a whole demo, or long runs judged from nothing, are no matter of one line and take their time
const aside = /killed|memory|cluster|heavyThread|oneLonger|demo/

/** All, those of the room itself first: they are likeliest to find its faults. */
const filesOfTests = () => {
  const all = roots.flatMap((folder) =>
    readdirSync(folder, { recursive: true })
      .map((file) => join(folder, file))
      .filter((file) => file.endsWith('.test.ts') && !file.includes('node_modules') && !aside.test(file))
      .sort(),
  )
  const own = all.filter((file) => file.startsWith(join(top, room.folders[0])))
  return [...new Set([...own, ...all])]
}

/** For the server: packages in one file each, and heavy work in the thread in which the fault is planted. */
const instead =
  of === 'server'
    ? {
        ...Object.fromEntries(
          Object.keys(ours).map((name) => [
            `^${name}$`,
            join(process.env.MUTANTS_PACKAGES ?? '', `${fileOf(name)}.js`),
          ]),
        ),
        '/heavy/heavyWork$': join(import.meta.dirname, 'heavyHere.ts'),
      }
    : {}

export default {
  rootDir: top,
  transform,
  extensionsToTreatAsEsm,
  testEnvironment: join(import.meta.dirname, 'untilFound.cjs'),
  setupFiles: [...setupFiles, '<rootDir>/tools/mutants/fewDraws.mjs'],
  moduleNameMapper: instead,
  transformIgnorePatterns: ['/node_modules/', '/mutants/packages/'],
  globals: { fewDraws: true, testsOfTheRoom: together ? filesOfTests() : [] },
  roots: [...roots, join(top, 'tools/mutants')],
  testMatch: [together ? '**/together.test.mjs' : '**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', aside.source],
  // with faults planted everywhere a test takes its time
  testTimeout: 30_000,
}
