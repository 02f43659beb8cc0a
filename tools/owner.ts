import { connect, recoverOwner } from '@sure-spool/server'

const connection = await connect(process.env['DATABASE_URL'] ?? '', 'apps/server/drizzle')
const { name, pin, password } = await recoverOwner(connection.database, process.argv[2] ?? '')
process.stdout.write(`${name} owns this shop. PIN ${pin}, password ${password}\nChange both on the Shop screen.\n`)
await connection.close()
