import { existsSync, statSync } from 'node:fs'
import { dirname, join, relative, sep } from 'node:path'
import { root } from '../lib/paths.mjs'

/** What each part of the house may import: our own packages, and npm's by name ('*' is any). */
const house = {
  'packages/core': { ours: [], npm: ['pure-rand'] },
  'packages/contract': { ours: ['@sure-spool/core'], npm: ['zod', '@asteasolutions/zod-to-openapi'] },
  'apps/server': { ours: ['@sure-spool/core', '@sure-spool/contract', '@sure-spool/contract/openapi'], npm: ['*'] },
  'apps/web': { ours: ['@sure-spool/core', '@sure-spool/contract'], npm: ['*'] },
}
const testsMayAlso = ['@jest/globals', 'fast-check', 'supertest', '@sure-spool/core/testing', 'mysql2/promise', 'pino']

/** Holds the arrows: web and server → contract → core, and in core nothing reaches past a folder's index. */
export const arrows = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      arrow: '{{ part }} may not import {{ target }}.',
      past: '{{ target }} reaches past the index of its folder.',
    },
  },
  create(context) {
    const file = relative(root, context.filename).split(sep).join('/')
    const part = Object.keys(house).find((one) => file.startsWith(`${one}/`))
    if (!part) return {}
    const isTest =
      file.endsWith('.test.ts') ||
      file.includes('/testing/') ||
      file.includes('/vectors/') ||
      file.startsWith('apps/server/test/')
    const check = (node) => {
      const target = node?.value
      if (typeof target !== 'string') return
      if (target.startsWith('.')) relativeImport(node, target)
      else packageImport(node, target)
    }
    function packageImport(node, target) {
      if (target.startsWith('node:')) {
        if (part !== 'apps/server' && !isTest && !file.endsWith('.mjs'))
          context.report({ node, messageId: 'arrow', data: { part, target } })
        return
      }
      const { ours, npm } = house[part]
      const name = target.startsWith('@') ? target.split('/').slice(0, 2).join('/') : target.split('/')[0]
      const allowed = target.startsWith('@sure-spool/')
        ? ours.includes(target)
        : npm.includes('*') || npm.includes(name)
      const test = isTest && testsMayAlso.some((one) => target === one || target.startsWith(`${one}/`))
      const virtual = part === 'apps/web' && target.startsWith('virtual:')
      if (!allowed && !test && !virtual) context.report({ node, messageId: 'arrow', data: { part, target } })
    }
    function relativeImport(node, target) {
      const full = join(dirname(context.filename), target)
      const path = relative(join(root, part), full).split(sep).join('/')
      const tools = isTest && full === join(root, 'tools/lib/database.mjs')
      if (path.startsWith('..') && !tools) context.report({ node, messageId: 'arrow', data: { part, target } })
      if (part !== 'packages/core' || isTest) return
      const here = dirname(relative(join(root, part), context.filename))
        .split(sep)
        .join('/')
      const isFolder = existsSync(full) && statSync(full).isDirectory()
      const isRootFile = dirname(path) === 'src'
      if (!isFolder && !isRootFile && dirname(path) !== here && here !== 'src')
        context.report({ node, messageId: 'past', data: { target } })
    }
    return {
      ImportDeclaration: (node) => check(node.source),
      ExportNamedDeclaration: (node) => check(node.source),
      ExportAllDeclaration: (node) => check(node.source),
      ImportExpression: (node) => check(node.source),
    }
  },
}
