import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { format, resolveConfig } from 'prettier'

/** Writes docs/sense.md from the doc comments of the rules themselves, so that the page says what the code does. */
const folder = 'packages/core/src/sense'
const when: Record<string, string> = {
  entryRules: 'At entry',
  setUpRules: 'Set-up',
  readingRules: 'While reading',
  betweenRules: 'Between readings',
  comparingRules: 'Beside other readings',
  drivingRules: 'Driving',
  closingRules: 'When the tape is looked at as a whole',
  cardRules: 'Before a card is published',
  rewindRules: 'Rewinding',
}
const rule =
  /\/\*\*((?:(?!\*\/)[\s\S])+?)\*\/\nexport (?:const|function) \w+([\s\S]*?)(?=\n\/\*\*|\nexport |\nconst |\nfunction |\ntype |$)/g

const parts = readdirSync(folder)
  .filter((name) => name.endsWith('Rules.ts'))
  .map((name) => name.replace('.ts', ''))
  .sort((a, b) => Object.keys(when).indexOf(a) - Object.keys(when).indexOf(b))
  .map((name) => {
    // what the comment says, without its examples and its stars
    const told = (comment: string) =>
      (comment.split(/\n \* @/)[0] ?? '').replace(/\n \*/g, ' ').replace(/\s+/g, ' ').trim()
    const rows = [...readFileSync(`${folder}/${name}.ts`, 'utf8').matchAll(rule)].flatMap(
      ([, says = '', body = '']) => {
        const id = /\bid: '([a-z-]+)'/.exec(body)?.[1]
        const severities = [...new Set([...body.matchAll(/severity: '(\w+)'/g)].map((match) => match[1]))]
        return id === undefined
          ? []
          : [`| \`${id}\` | ${severities.join(' / ')} | ${told(says).replaceAll('|', '\\|')} |`]
      },
    )
    return [`## ${when[name] ?? name}`, '', '| id | severity | says |', '| --- | --- | --- |', ...rows, ''].join('\n')
  })

const head = [
  '# Sense: what a careful colleague would say',
  '',
  'Written by `npm run rules` from the doc comments in `packages/core/src/sense`. A `stop` holds the step until it is answered,',
  'a `warn` is kept in the record, a `note` is shown. Of remarks on one cause the severest is given. `over-volts`,',
  '`across-electronics` and `unknown-pins-power` cannot be overridden; every other can, with a reason that is kept.',
  '',
]
const options = await resolveConfig('docs/sense.md')
writeFileSync('docs/sense.md', await format([...head, ...parts].join('\n'), { ...options, parser: 'markdown' }))
const count = parts.join('\n').match(/^\| `/gm)?.length ?? 0
process.stdout.write(`docs/sense.md: ${count} rules\n`)
