import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, test } from '@jest/globals'
import ts from 'typescript'

const source = 'packages/core/src'
const files = readdirSync(source, { recursive: true, encoding: 'utf8' }).filter(
  (path) => path.endsWith('.ts') && !path.endsWith('.test.ts') && !path.startsWith('testing'),
)

interface Example {
  name: string
  /** nothing where its doc comment gives none */
  code?: string
  says?: string
}

const isExported = (statement: ts.Statement): boolean =>
  ts.canHaveModifiers(statement) &&
  (ts.getModifiers(statement) ?? []).some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword)

function nameOf(statement: ts.Statement): string | undefined {
  if (ts.isFunctionDeclaration(statement)) return statement.name?.text
  const [one] = ts.isVariableStatement(statement) ? statement.declarationList.declarations : []
  return one?.initializer && ts.isArrowFunction(one.initializer) && ts.isIdentifier(one.name)
    ? one.name.text
    : undefined
}

/** The exported functions of a file, each with the example of its doc comment: code, and what it gives behind the last `//`. */
function examplesIn(path: string): Example[] {
  const file = ts.createSourceFile(path, readFileSync(join(source, path), 'utf8'), ts.ScriptTarget.Latest, true)
  return file.statements.flatMap((statement) => {
    const name = isExported(statement) ? nameOf(statement) : undefined
    if (name === undefined) return []
    const tag = ts.getJSDocTags(statement).find(({ tagName }) => tagName.text === 'example')
    const text = tag && ts.getTextOfJSDocComment(tag.comment)
    const at = text?.lastIndexOf('// ') ?? -1
    return [text !== undefined && at > 0 ? { name, code: text.slice(0, at), says: text.slice(at + 3) } : { name }]
  })
}

type Scope = Record<string, unknown>
const evaluated = (code: string, scope: Scope): unknown =>
  (new Function(...Object.keys(scope), `return (${code})`) as (...all: unknown[]) => unknown)(...Object.values(scope))

/** A figure written in five digits stands for the whole of it. */
function asWritten(value: unknown): unknown {
  if (typeof value === 'number') return Number.isFinite(value) ? Number(value.toPrecision(5)) : value
  if (value instanceof Set) return [...(value as Set<unknown>)].map(asWritten)
  if (Array.isArray(value)) return value.map(asWritten)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, one]) => (one === undefined ? [] : [[key, asWritten(one)]])),
  )
}

describe('the example of every exported function gives what it says', () => {
  const all = files.map((path) => ({ path, examples: examplesIn(path) })).filter(({ examples }) => examples.length > 0)

  test('there is one for each', () => {
    expect(all.length).toBeGreaterThan(100)
    const without = all.flatMap(({ path, examples }) =>
      examples.flatMap(({ name, code }) => (code === undefined ? [`${path} ${name}`] : [])),
    )
    expect(without).toEqual([])
  })

  test.each(all.map(({ path, examples }) => [path, examples] as const))('%s', async (path, examples) => {
    const scope: Scope = {
      ...((await import('./index')) as Scope),
      ...((await import('./testing')) as Scope),
      ...((await import('./simulate')) as Scope),
      ...((await import(`./${path.replace(/\.ts$/, '')}`)) as Scope),
    }
    const made = examples.map(({ name, code = '' }) => ({ name, gives: asWritten(evaluated(code, scope)) }))
    expect(made).toEqual(examples.map(({ name, says = '' }) => ({ name, gives: asWritten(evaluated(says, {})) })))
  })
})
