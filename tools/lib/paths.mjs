import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The project's folder. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')

/** Everything that is made by running and may be thrown away. */
export const dataFolder = process.env.SPOOL_DATA ?? join(root, '.data')
