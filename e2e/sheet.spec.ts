import { execFileSync, spawn } from 'node:child_process'
import { text } from 'node:stream/consumers'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Queue, RunView } from '@sure-spool/contract'
import { expect, test } from './world'

const folder = mkdtempSync(join(tmpdir(), 'sheet-'))

test('the sheet prints on one or two pages, and its figures can be read back', async ({ page, world }) => {
  const { units } = await world.get<Queue>('/units?place=done&limit=100')
  const unit = units.find((one) => one.tag === 'SQ-0410')
  await page.goto(`${world.address}/bench/${unit?.standing?.run}/sheet`)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No fault found by ohms, cold, at rest.')
  for (const format of ['A4', 'Letter'] as const) {
    const path = join(folder, `${format}.pdf`)
    writeFileSync(path, await page.pdf({ format, preferCSSPageSize: false }))
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
    for (const figure of ['SQ-0410', '315', '36.3', '52.1', '351.6', '91.5', '286.2', '349.8', '>40', '1.839', '317.5'])
      expect(text).toContain(figure)
    expect(text).toContain('taken again')
    expect(text).toContain('Orrinvale bench sheet 18-E')
    const pages = /Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [path], { encoding: 'utf8' }))?.[1]
    expect(Number(pages)).toBeLessThanOrEqual(2)
  }
})

/** Judges a file on the command line as a person does. */
async function judged(path: string): Promise<{ stdout: string; stderr: string; status: number | null }> {
  const child = spawn('npm', ['run', '--silent', 'judge', '--', path])
  const ended = new Promise<number | null>((resolve) => child.once('close', resolve))
  const [stdout, stderr, status] = await Promise.all([text(child.stdout), text(child.stderr), ended])
  return { stdout, stderr, status }
}

test('a run saved as JSON is judged alike on the command line, with no server', async ({ page, world }) => {
  const { units } = await world.get<Queue>('/units?limit=200')
  const codes = { 'no-fault-found': 0, 'fault-found': 1, undecided: 2 }
  for (const tag of ['SQ-0402', 'SQ-0407', 'SQ-0431']) {
    const run = units.find((one) => one.tag === tag)?.standing?.run
    await page.goto(`${world.address}/bench/${run}/sheet`)
    const saving = page.waitForEvent('download')
    await page.getByRole('button', { name: 'save the run as JSON' }).click()
    const path = join(folder, `${tag}.json`)
    await (await saving).saveAs(path)
    const { stdout, status } = await judged(path)
    const { state } = await world.get<RunView>(`/runs/${run}`)
    expect(JSON.parse(stdout)).toEqual(state)
    expect(status).toBe(codes[state.finding])
  }
})

test('a run of every other kind of part is judged alike on the command line', async ({ world }) => {
  test.setTimeout(300_000)
  const { units } = await world.get<Queue>('/units?place=done&limit=200')
  const kinds = units.filter((one) => /^SQ-04(1[4-9]|2[01])$/.test(one.tag))
  expect(kinds.length).toBe(8)
  for (const { tag, standing } of kinds) {
    const { run, state } = await world.get<RunView>(`/runs/${standing?.run ?? ''}`)
    const path = join(folder, `${tag}.json`)
    writeFileSync(path, JSON.stringify(run))
    expect(JSON.parse((await judged(path)).stdout)).toEqual(state)
  }
})

test('a file that is no run is refused with its path and a sentence', async () => {
  const path = join(folder, 'cut.json')
  writeFileSync(path, readFileSync('demo/shop.json', 'utf8').slice(0, 500))
  const { stderr, status } = await judged(path)
  expect(status).toBe(3)
  expect(stderr).toContain('is not JSON')
})

test('the readings come as CSV with units in the header', async ({ world }) => {
  const { units } = await world.get<Queue>('/units?limit=200')
  const run = units.find((one) => one.tag === 'SQ-0410')?.standing?.run
  const text = await (await fetch(`${world.address}/api/v1/runs/${run}/readings.csv`)).text()
  const [head, first] = text.split('\r\n')
  expect(head).toContain('expanded uncertainty 2u (SI)')
  expect(first).toContain('SQ-0410,')
  expect(first).toContain(',315,')
})
