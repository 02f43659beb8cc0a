import { connect, rebuildStates } from '@sure-spool/server'

const connection = await connect(process.env['DATABASE_URL'] ?? '', 'apps/server/drizzle')
const count = await rebuildStates(connection.database)
process.stdout.write(`${count} runs judged again.\n`)
await connection.close()
