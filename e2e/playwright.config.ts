import { execSync } from 'node:child_process'
import { defineConfig } from '@playwright/test'

const chromium = process.env['CHROMIUM'] ?? execSync('command -v chromium', { encoding: 'utf8' }).trim()

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // a machine that others keep busy has been seen to take many times as long as a quiet one; waiting longer costs a failure time, and nothing else
  timeout: 240_000,
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: 2,
  retries: 0,
  reporter: process.env['SPOOL_REPORT']
    ? [['list'], ['json', { outputFile: process.env['SPOOL_REPORT'] }]]
    : [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    timezoneId: 'Europe/London',
    launchOptions: {
      executablePath: chromium,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
