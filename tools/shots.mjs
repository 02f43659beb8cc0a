import { execSync } from 'node:child_process'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { root } from './lib/paths.mjs'
import { run, say, Stop } from './lib/say.mjs'

/**
 * Takes the pictures of docs/screenshots anew from a running demo (npm run demo -- --reset). With JOB_SHOTS, a folder in which the jobs of
 * e2e/jobs left the picture of each run (JOB_SHOTS=FOLDER npm test -- e2e), it puts those on one sheet, and needs no demo.
 */
const address = process.env.ADDRESS ?? 'http://127.0.0.1:4180'
const folder = join(root, 'docs/screenshots')

const launched = () =>
  chromium.launch({
    executablePath: execSync('command -v chromium', { encoding: 'utf8' }).trim(),
    args: ['--no-sandbox', '--disable-gpu'],
  })

await run(async () => {
  if (process.env.JOB_SHOTS) return sheetOfJobs(process.env.JOB_SHOTS)
  const queue = await fetch(`${address}/api/v1/units?limit=200`).then(
    (response) => response.json(),
    () => {
      throw new Stop(`No demo answers at ${address}: start it with npm run demo -- --reset`)
    },
  )
  const unit = (tag) => queue.units.find((one) => one.tag === tag)
  const bench = (tag) => `/bench/${unit(tag).standing.run}`
  const browser = await launched()
  const take = async (name, path, { width = 1280, height = 800, colorScheme = 'light', act } = {}) => {
    const context = await browser.newContext({ viewport: { width, height }, colorScheme, serviceWorkers: 'block' })
    const page = await context.newPage()
    await page.goto(address + path)
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(400)
    await act?.(page)
    await page.waitForTimeout(300)
    await page.screenshot({ path: join(folder, `${name}.png`) })
    await context.close()
    say(`${name}.png`)
  }
  await take('queue', '/')
  const rewound = await fetch(`${address}/api/v1/units/${unit('SQ-0362')?.id}/rewinds`).then((response) =>
    response.json(),
  )
  await take('winder', `/rewinds/${rewound.rewinds[0].id}`)
  await take('bench-within', bench('SQ-0438'))
  await take('bench-dark', bench('SQ-0431'), { colorScheme: 'dark' })
  await take('bench-upright', bench('SQ-0431'), { width: 800, height: 1280 })
  await take('bench-set', bench('SQ-0443'))
  await take('finding', bench('SQ-0410'))
  await take('finding-undecided', bench('SQ-0424'), {
    act: (page) => page.keyboard.press('d'),
  })
  await take('door', '/', {
    act: async (page) => {
      const people = [
        ['Ines Okafor-Lind', 'owner'],
        ['Tam Reyes-Holt', 'technician'],
        ['Wil Dace', 'learner'],
      ].map(([name, access], i) => ({ id: `p${i}`, name, access }))
      const at = new Date().toISOString()
      const one = { id: 'b', name: 'window bench', kind: 'bench', joinedAt: at, seenAt: at }
      // the demo is an open house: here it is as in a real shop
      await page.route('**/api/v1/door', (route) =>
        route.fulfill({ json: { house: 'shut', bench: one, people, seats: [] } }),
      )
      await page.reload()
      await page.getByRole('dialog').waitFor()
    },
  })
  await take('set-aside', bench('SQ-0438'), {
    act: async (page) => {
      const body = {
        type: '/problems/entry-refused',
        title: 'Cannot be kept as it is',
        status: 422,
        detail: 'The clock of this bench ran backwards: set it right, and send this again.',
      }
      const refused = { status: 422, contentType: 'application/problem+json', body: JSON.stringify(body) }
      await page.route('**/api/v1/runs/*/entries', (route) => route.fulfill(refused))
      await page.keyboard.type('318')
      await page.keyboard.press('Enter')
      await page.getByRole('link', { name: /set aside/ }).click()
      await page.getByRole('row', { name: /318/ }).waitFor()
    },
  })
  await take('sheet', `${bench('SQ-0410')}/sheet`, { width: 1100, height: 1400 })
  const twin = `/cards/${unit('SQ-0431').card.id}`
  await take('card', twin)
  await take('cards-by-figures', '/cards?read=about%20318%20and%2036%2C%20both%20open%20to%20frame')
  await take('write', `${twin}/write/4`, {
    act: (page) => page.getByRole('button', { name: 'Checks and limits' }).click(),
  })
  await take('cards-in', '/cards/in', {
    act: async (page) => {
      const buffer = readFileSync(join(root, 'demo/figures.csv'))
      await page.setInputFiles('input[type=file]', { name: 'figures.csv', mimeType: 'text/csv', buffer })
      await page.getByRole('row').nth(1).waitFor()
    },
  })
  await take('unit', `/units/${unit('SQ-0358').id}`)
  await take('tray', `/tray/${unit('SQ-0351').tray}`)
  await take('kit', '/kit')
  await browser.close()
})

/** The finished run of every job, each as it stood on the bench, on one sheet. */
async function sheetOfJobs(from) {
  const names = readdirSync(from)
    .filter((name) => name.endsWith('.png'))
    .sort()
  if (names.length === 0) throw new Stop(`No job left a picture in ${from}.`)
  const browser = await launched()
  const page = await browser.newPage({ viewport: { width: 1200, height: 1000 } })
  const figure = (name) =>
    `<figure><img src="data:image/png;base64,${readFileSync(join(from, name)).toString('base64')}"><figcaption>${name.slice(0, 2)}</figcaption></figure>`
  await page.setContent(
    `<style>body{margin:0;display:grid;grid-template-columns:repeat(4,1fr);gap:8px;font:600 15px sans-serif}figure{margin:0}img{width:100%;display:block}</style>${names.map(figure).join('')}`,
  )
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(folder, 'jobs.png'), fullPage: true })
  await browser.close()
  say(`jobs.png, with ${names.length} jobs`)
}
