import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'
import { quiet } from './lib/shell.mjs'

const sources = ['packages', 'apps/server/src', 'apps/web', 'package-lock.json', 'tools/build.mjs']
const stamp = join(root, 'apps/server/dist/stamp')

/** Builds the web app, the server and the thread of its heavy work, unless both are of these very sources. */
export async function build() {
  const now = hashOfSources()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now && existsSync(join(root, 'apps/web/dist/index.html')))
    return
  say('Building …')
  const web = quiet(bin('vite'), ['build', 'apps/web', '--logLevel', 'warn'])
  if (web.code !== 0) throw new Stop(`The web app does not build:\n${web.output}`)
  const server = bundle(['apps/server/src/main.ts', 'apps/server/src/heavy/heavyWork.worker.ts'], 'apps/server/dist')
  if (server.code !== 0) throw new Stop(`The server does not build:\n${server.output}`)
  writeFileSync(stamp, now)
}

/** Our packages by their names, each where it begins under `packages`. */
export const ours = {
  '@sure-spool/core': 'core/src/index.ts',
  '@sure-spool/core/testing': 'core/src/testing/index.ts',
  '@sure-spool/core/simulate': 'core/src/simulate/index.ts',
  '@sure-spool/contract': 'contract/src/index.ts',
  '@sure-spool/contract/canonical': 'contract/src/hash/canonical.ts',
  '@sure-spool/contract/openapi': 'contract/src/api/openapi.ts',
}

/**
 * Our TypeScript as plain modules, each entry one file; packages from the registry stay outside.
 * @param entries their sources, or `name=source`
 * @param more of the bundler's own options
 */
export function bundle(entries, outdir, more = []) {
  return quiet(bin('esbuild'), [
    ...entries,
    '--bundle',
    '--platform=node',
    '--format=esm',
    '--target=node20',
    '--packages=external',
    ...Object.entries(ours).map(([name, path]) => `--alias:${name}=${join(root, 'packages', path)}`),
    `--outdir=${outdir}`,
    '--entry-names=[name]',
    '--log-level=warning',
    ...more,
  ])
}

const bin = (name) => join(root, 'node_modules/.bin', name)

function hashOfSources() {
  const hash = createHash('sha256')
  const walk = (path) => {
    const full = join(root, path)
    let names
    try {
      names = readdirSync(full, { withFileTypes: true })
    } catch {
      hash.update(path).update(readFileSync(full))
      return
    }
    for (const one of names.sort((a, b) => (a.name < b.name ? -1 : 1)))
      if (!['dist', 'node_modules'].includes(one.name) && !one.name.endsWith('.test.ts')) walk(join(path, one.name))
  }
  sources.forEach(walk)
  return hash.digest('hex')
}

if (process.argv[1]?.endsWith('build.mjs')) await run(build)
