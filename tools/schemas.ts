import { writeFileSync } from 'node:fs'
import { jsonSchemas } from '@sure-spool/contract'
import { apiSchema } from '@sure-spool/contract/apiSchema'

/** Writes the open formats and the API as JSON Schema into docs/schema; tests hold them equal to what is read. */
for (const [file, schema] of Object.entries({ ...jsonSchemas(), 'api.json': apiSchema() })) {
  writeFileSync(`docs/schema/${file}`, `${JSON.stringify(schema, null, 2)}\n`)
  process.stdout.write(`docs/schema/${file}\n`)
}
