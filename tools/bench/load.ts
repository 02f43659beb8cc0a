import { readFileSync, readdirSync } from 'node:fs'
import { gzipSync } from 'node:zlib'

/** The first load of the app, gzipped, without fonts: the page, and what it names or preloads before anything is opened. */
const html = readFileSync('apps/web/dist/index.html', 'utf8')
const named = [...html.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)].flatMap((match) => match[1] ?? [])
const files = new Set(named)
for (const name of files)
  for (const match of readFileSync(`apps/web/dist/${name}`, 'utf8').matchAll(/(?:from|import)"\.\/([^"]+\.js)"/g))
    files.add(`assets/${match[1]}`)
const sizes = ['index.html', ...files].map((name) => gzipSync(readFileSync(`apps/web/dist/${name}`)).length)
const total = sizes.reduce((sum, size) => sum + size, 0)
const all = readdirSync('apps/web/dist/assets').filter((name) => /\.(js|css)$/.test(name)).length
process.stdout.write(
  `first load, gzipped, without fonts: ${(total / 1000).toFixed(0)} kB in ${sizes.length} files of ${all + 1}, ${(total / 200_000).toFixed(2)} × the 200 kB it may have\n`,
)
