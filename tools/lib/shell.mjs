import { spawn, spawnSync } from 'node:child_process'
import { root } from './paths.mjs'

/** Runs a command with its output shown; resolves to its exit code. */
export function show(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options })
    child.on('error', reject)
    child.on('close', (code, signal) => resolve(code ?? (signal ? 1 : 0)))
  })
}

/** Runs a command quietly: its exit code and output. */
export function quiet(command, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 64e6,
    ...options,
  })
  return { code: error ? 127 : (status ?? 1), output: `${stdout ?? ''}${stderr ?? ''}` }
}

/** Where a command is, or null. */
export function where(command) {
  const { code, output } = quiet('sh', ['-c', `command -v ${command}`])
  return code === 0 ? output.trim() : null
}
