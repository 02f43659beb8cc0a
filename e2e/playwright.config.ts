import { execSync } from 'node:child_process'
import { defineConfig } from '@playwright/test'

const chromium = process.env['CHROMIUM'] ?? execSync('command -v chromium', { encoding: 'utf8' }).trim()

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  // a busy machine has been seen to take three times as long as a quiet one
  timeout: 150_000,
  expect: { timeout: 10_000 },
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
