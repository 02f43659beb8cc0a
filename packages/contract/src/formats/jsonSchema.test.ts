import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { cardSchema } from './card'
import { jsonSchemas } from './jsonSchema'
import { readDocument } from './read'
import { runSchema } from './run'

test.each(Object.entries(jsonSchemas()))(
  'docs/schema/%s is what is read (npm run schemas writes it)',
  (file, schema) => {
    expect(JSON.parse(readFileSync(`docs/schema/${file}`, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)))
  },
)

const examples = [...readFileSync('docs/formats.md', 'utf8').matchAll(/```json\n(.*?)```/gs)].map(
  ([, text]) => text ?? '',
)

test('the examples of docs/formats.md are read as what they say they are', () => {
  const formats = examples.map((text) => {
    const { format } = JSON.parse(text) as { format: string }
    const read = readDocument(text, format === 'sure-spool/card' ? cardSchema : runSchema)
    return [format, read.ok ? [] : read.problems]
  })
  expect(formats).toEqual([
    ['sure-spool/card', []],
    ['sure-spool/run', []],
  ])
})
