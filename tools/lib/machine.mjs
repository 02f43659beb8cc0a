import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder, root } from './paths.mjs'
import { Stop, say } from './say.mjs'
import { quiet, show, where } from './shell.mjs'

/** Debian's packages by the command each brings. */
const packageOf = { mariadbd: 'mariadb-server', chromium: 'chromium', pdftotext: 'poppler-utils', nginx: 'nginx' }
const leastFree = 300e6

/** Refuses what cannot work: an old Node, a full disk. */
export function checkMachine() {
  const [major] = process.versions.node.split('.').map(Number)
  if (major < 20) throw new Stop(`Node ${process.versions.node} is too old: Sure Spool needs Node 20 or newer.`)
  mkdirSync(dataFolder, { recursive: true })
  const { bavail, bsize } = statfsSync(dataFolder)
  if (bavail * bsize < leastFree)
    throw new Stop(
      `Only ${Math.round((bavail * bsize) / 1e6)} MB are free on this disk. Free about 1 GB and start again.`,
    )
}

/** Installs Debian's packages for the commands that are missing. */
export async function ensureCommands(...commands) {
  const missing = commands.filter((command) => !where(command) && !existsSync(`/usr/sbin/${command}`))
  if (missing.length === 0) return
  const packages = [...new Set(missing.map((command) => packageOf[command]))]
  const words = packages.join(' ')
  if (!where('apt-get'))
    throw new Stop(
      `${words} is missing, and this machine has no apt-get to install it with. Install it by your system's own means and start again.`,
    )
  if (process.getuid?.() !== 0)
    throw new Stop(
      `${words} is missing, and only root may install it. Run "apt-get install ${words}" as root, then start again.`,
    )
  say(`Installing ${words} from Debian's packages …`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const install = () => quiet('apt-get', ['install', '-y', '--no-install-recommends', ...packages], { env })
  quiet('apt-get', ['update'], { env })
  const { code, output } = install()
  if (code !== 0) {
    const tail = output.trim().split('\n').slice(-4).join('\n')
    throw new Stop(
      `${words} could not be installed:\n${tail}\nIs the package mirror reachable, and is there space left?`,
    )
  }
}

/** Installs the npm packages of the lock file, unless they stand already. */
export async function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const stamp = join(root, 'node_modules/.sure-spool-stamp')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  say('Installing npm packages …')
  const env = Object.fromEntries(Object.entries(process.env).filter(([key]) => !/^npm_|^NODE_ENV$/i.test(key)))
  const npm = process.env.npm_execpath
  const [command, first] = npm?.endsWith('.js') ? [process.execPath, [npm]] : ['npm', []]
  const code = await show(command, [...first, 'ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'], {
    env,
  })
  if (code !== 0)
    throw new Stop('The npm packages could not be installed. Is the registry reachable, and is there space left?')
  writeFileSync(stamp, lock)
}
