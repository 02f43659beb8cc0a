import { spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { text } from 'node:stream/consumers'
import { setTimeout as pause } from 'node:timers/promises'
import { parseArgs } from 'node:util'
import { build } from './build.mjs'
import { anyPort, startDatabase } from './lib/database.mjs'
import { checkMachine, ensureCommands, ensurePackages } from './lib/machine.mjs'
import { dataFolder, root } from './lib/paths.mjs'
import { run, say } from './lib/say.mjs'
import { startServer } from './lib/server.mjs'
import { where } from './lib/shell.mjs'
import { spoiler } from './siege/spoiler.mjs'

/**
 * Attacks a shop of its own on loopback, from a seed, and prints the counts: the whole browser is killed while readings are taken, and
 * spoilt requests are sent. Whatever stood under “everything kept” must be there when the browser is opened again, and no input may
 * give a 5xx. No part of CI.
 */
const { values: options } = parseArgs({
  options: {
    kills: { type: 'string', default: '200' },
    requests: { type: 'string', default: '100000' },
    seed: { type: 'string', default: '10' },
  },
})
const { below, mutated, mutatedPath } = spoiler(Number(options.seed))

/** The requests of one address are counted by the minute: they come from so many of loopback’s. */
const agents = Array.from({ length: 60 }, (_, i) => new Agent({ keepAlive: true, localAddress: `127.0.0.${i + 1}` }))
let sender = 0

/** How many are on their way at once. */
const together = 8

await run(async () => {
  checkMachine()
  await ensureCommands('mariadbd', 'chromium')
  await ensurePackages()
  await build()
  const folder = mkdtempSync(join(tmpdir(), 'spool-siege-'))
  const database = await startDatabase(folder)
  const logFile = join(dataFolder, 'siege.log')
  const server = await startServer({
    port: await anyPort(),
    databaseUrl: `${database.url}/siege`,
    logFile,
    openHouse: true,
  })
  try {
    const shop = readFileSync(join(root, 'demo/shop.json'), 'utf8')
    await send(server.address, 'POST', '/shop/import', shop)
    await kills(server.address, folder, Number(options.kills))
    await spoilt(server.address, JSON.parse(shop), Number(options.requests))
  } finally {
    await server.stop()
    await database.stop()
    rmSync(folder, { recursive: true, force: true })
  }
})

async function send(address, method, path, body) {
  const agent = agents[sender++ % agents.length]
  const headers = {
    'Content-Type': 'application/json',
    ...(body === undefined ? {} : { 'Content-Length': Buffer.byteLength(body) }),
  }
  const sent = request(`${address}/api/v1${path}`, { method, headers, agent })
  sent.end(body)
  const [response] = await once(sent, 'response')
  return { status: response.statusCode, body: await text(response) }
}

/** Takes readings of one run in a browser with a profile of its own, and kills all of that browser at a random moment after a key. */
async function kills(address, folder, count) {
  const { chromium } = await import('@playwright/test')
  const profile = join(folder, 'profile')
  const shop = JSON.parse((await send(address, 'GET', '/shop/export')).body)
  const unit = shop.units.find(({ place, tag }) => place === 'bench' && tag === 'SQ-0438')
  const id = shop.runs.find((one) => one.unit === unit.id).id
  const stoodAsKept = []
  for (let round = 0; round < count; round++) {
    const context = await chromium.launchPersistentContext(profile, {
      executablePath: where('chromium'),
      args: ['--no-sandbox'],
      viewport: { width: 1280, height: 800 },
    })
    const page = context.pages()[0] ?? (await context.newPage())
    await page.goto(`${address}/bench/${id}`)
    const status = page.getByRole('status').first()
    await status.filter({ hasText: 'everything kept' }).waitFor({ timeout: 30_000 })
    await missing(address, id, stoodAsKept, round)
    const words = `siege ${round}`
    await page.keyboard.press('n')
    await page.keyboard.type(words)
    const end = Date.now() + below(250)
    await page.keyboard.press('Enter')
    while (Date.now() < end) {
      // both of one moment: what is on the tape, and what is said of it
      const stood = await page.evaluate(
        (one) =>
          document.body.innerText.includes(one) &&
          document.querySelector('[role=status]')?.textContent?.includes('everything kept'),
        words,
      )
      if (stood) {
        stoodAsKept.push(words)
        break
      }
    }
    spawnSync('pkill', ['-KILL', '-f', profile])
    await context.close().catch(() => undefined)
    await pause(200)
    if ((round + 1) % 10 === 0) say(`${round + 1} browsers killed, ${stoodAsKept.length} notes had stood as kept`)
  }
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: where('chromium'),
    args: ['--no-sandbox'],
  })
  const page = context.pages()[0] ?? (await context.newPage())
  await page.goto(`${address}/bench/${id}`)
  await page
    .getByRole('status')
    .first()
    .filter({ hasText: /^\s*everything kept\s*$/ })
    .waitFor({ timeout: 60_000 })
  const lost = await missing(address, id, stoodAsKept, count)
  await context.close()
  say(`${count} kills of the whole browser: ${stoodAsKept.length} notes had stood as kept, ${lost.length} lost.`)
  if (lost.length > 0) process.exitCode = 1
}

/** Which of what stood as kept is not on the tape; what waits in the browser is given its time. */
async function missing(address, id, texts, round) {
  let lost = []
  for (let tries = 0; tries < 50; tries++) {
    const { run: tape } = JSON.parse((await send(address, 'GET', `/runs/${id}`)).body)
    const there = new Set(tape.entries.map(({ words }) => words))
    lost = texts.filter((text) => !there.has(text))
    if (lost.length === 0) return lost
    await pause(200)
  }
  say(`Lost by round ${round}: ${lost.join(', ')}`)
  return lost
}

/** Sends good bodies that were spoilt in one place or several. */
async function spoilt(address, shop, count) {
  const runId = shop.runs[0].id
  const seeds = [
    ['POST', '/units', { ...shop.units[0], place: undefined }],
    ['POST', '/runs', { id: runId, unit: shop.units[0].id, startedAt: shop.runs[0].startedAt, by: shop.people[0].id }],
    ['POST', `/runs/${runId}/entries`, { entries: shop.runs[0].entries.slice(0, 2) }],
    ['PUT', '/shop/settings', { settings: shop.settings, by: shop.people[0].id }],
    ['PUT', `/shop/people/${shop.people[1].id}`, { person: shop.people[1], by: shop.people[0].id }],
    ['PUT', `/cards/${shop.cards[0].id}/revisions/9`, { card: shop.cards[0], by: shop.people[0].id }],
    ['GET', '/units?limit=2&cursor=abc', null],
  ]
  const statuses = {}
  const one = async () => {
    const [method, path, good] = seeds[below(seeds.length)]
    const body = good === null ? undefined : mutated(good)
    const { status, body: answer } = await send(address, method, good === null ? mutatedPath(path) : path, body)
    statuses[status] = (statuses[status] ?? 0) + 1
    if (status === 429) await pause(5000)
    if (status >= 500) say(`${status} for ${method} ${path}: ${answer.slice(0, 200)}\n  ${body?.slice(0, 300)}`)
  }
  for (let sent = 0; sent < count; sent += together) {
    await Promise.all(Array.from({ length: Math.min(together, count - sent) }, one))
    if ((sent + together) % 10_000 === 0) say(`${sent + together} spoilt requests sent`)
  }
  const worst = Object.entries(statuses).filter(([status]) => Number(status) >= 500)
  say(
    `${count} spoilt requests: ${Object.entries(statuses)
      .map(([status, n]) => `${n} × ${status}`)
      .join(', ')}.`,
  )
  if (worst.length > 0) process.exitCode = 1
}
