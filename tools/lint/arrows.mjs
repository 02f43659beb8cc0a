import { existsSync, readFileSync, statSync } from 'node:fs'
import { dirname, join, relative, sep } from 'node:path'
import { root } from '../lib/paths.mjs'
import { circleThrough } from './circles.mjs'

/** What each part of the house may import: our own packages, and npm's by name ('*' is any). */
const house = {
  'packages/core': { ours: [], npm: ['pure-rand', 'simple-statistics'] },
  'packages/contract': {
    ours: ['@sure-spool/core'],
    npm: ['zod', '@asteasolutions/zod-to-openapi', 'safe-stable-stringify'],
  },
  'apps/server': {
    ours: [
      '@sure-spool/core',
      '@sure-spool/contract',
      '@sure-spool/contract/canonical',
      '@sure-spool/contract/openapi',
    ],
    npm: ['*'],
  },
  'apps/web': { ours: ['@sure-spool/core', '@sure-spool/contract', '@sure-spool/contract/canonical'], npm: ['*'] },
}
const testsMayAlso = [
  '@jest/globals',
  'fast-check',
  'supertest',
  '@sure-spool/core/testing',
  'mysql2/promise',
  'pino',
  'typescript',
]

/** Inside a part: what may not be reached from where. SQL stays in repositories; a store knows no screen. */
const floors = [
  {
    from: /^apps\/server\/src\/(services|routes)\//,
    not: /^apps\/server\/src\/database\/(schema|doorSchema)/,
    why: 'SQL stays in repositories',
  },
  { from: /^apps\/server\/src\/(services|routes)\//, npm: /^drizzle-orm/, why: 'SQL stays in repositories' },
  {
    from: /^apps\/server\/src\/repositories\//,
    not: /^apps\/server\/src\/(services|routes)\//,
    why: 'a repository serves them',
  },
  {
    from: /^apps\/web\/src\/(store|words)\//,
    not: /^apps\/web\/src\/(?!store\/|words\/|reading\/)/,
    why: 'a store knows no screen',
  },
]

const isTestFile = (file) =>
  file.endsWith('.test.ts') ||
  file.includes('/testing/') ||
  file.includes('/vectors/') ||
  file.startsWith('apps/server/test/')

/** Holds the arrows: web and server → contract → core, floors inside a part, no circle, and nothing past a room's index in core. */
export const arrows = {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      arrow: '{{ part }} may not import {{ target }}.',
      past: '{{ target }} reaches past the index of its folder.',
      floor: '{{ target }} may not be imported here: {{ why }}.',
      circle: 'Files that import one another in a circle: {{ files }}.',
    },
  },
  create(context) {
    const file = relative(root, context.filename).split(sep).join('/')
    const part = Object.keys(house).find((one) => file.startsWith(`${one}/`))
    if (!part) return {}
    const isTest = isTestFile(file)
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
      const floor = !isTest && floors.find((one) => one.npm && one.from.test(file) && one.npm.test(target))
      if (floor) context.report({ node, messageId: 'floor', data: { target, why: floor.why } })
    }
    function relativeImport(node, target) {
      const full = join(dirname(context.filename), target)
      const path = relative(join(root, part), full).split(sep).join('/')
      const tools = isTest && full === join(root, 'tools/lib/database.mjs')
      if (path.startsWith('..') && !tools) context.report({ node, messageId: 'arrow', data: { part, target } })
      const inHouse = relative(root, full).split(sep).join('/')
      const floor = !isTest && floors.find((one) => one.not && one.from.test(file) && one.not.test(inHouse))
      if (floor) context.report({ node, messageId: 'floor', data: { target, why: floor.why } })
      if (part !== 'packages/core' || isTest) return
      const here = dirname(relative(join(root, part), context.filename))
        .split(sep)
        .join('/')
      const isFolder = existsSync(full) && statSync(full).isDirectory()
      // a folder is entered by its index, and only from the floor it stands on or from deeper in
      const within = here === dirname(path) || here.startsWith(`${dirname(path)}/`)
      const isRootFile = dirname(path) === 'src'
      if (isFolder ? !within : !isRootFile && dirname(path) !== here && here !== 'src')
        context.report({ node, messageId: 'past', data: { target } })
    }
    return {
      ImportDeclaration: (node) => check(node.source),
      ExportNamedDeclaration: (node) => check(node.source),
      ExportAllDeclaration: (node) => check(node.source),
      ImportExpression: (node) => check(node.source),
      Program: (node) => {
        const circle = isTest ? null : circleThrough(context.filename, (name) => readFileSync(name, 'utf8'))
        if (circle)
          context.report({
            node,
            loc: { line: 1, column: 0 },
            messageId: 'circle',
            data: { files: circle.map((name) => relative(root, name)).join(' → ') },
          })
      },
    }
  },
}
