import { execFileSync } from 'node:child_process'
import { join } from 'node:path'

/** A certificate of a test's own, for `bench.example`, in a folder. @returns where it and its key lie */
export function certificateIn(folder: string): { cert: string; key: string } {
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')]
  const files = ['-keyout', key, '-out', cert, '-subj', '/CN=bench.example']
  execFileSync('openssl', ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', ...files], { stdio: 'pipe' })
  return { cert, key }
}
