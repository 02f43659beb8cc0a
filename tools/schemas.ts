import { writeFileSync } from 'node:fs'
import { jsonSchemas } from '@sure-spool/contract'

/** Writes the open formats' JSON Schemas into docs/schema; a test holds them equal to what is read. */
for (const [file, schema] of Object.entries(jsonSchemas())) {
  writeFileSync(`docs/schema/${file}`, `${JSON.stringify(schema, null, 2)}\n`)
  process.stdout.write(`docs/schema/${file}\n`)
}
