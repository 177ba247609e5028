import { defineConfig } from '@playwright/test'

export default defineConfig({
  testDir: process.env['LEA_FACES'] === undefined ? './tests' : './bench',
  outputDir: '../.lea/test-results',
  timeout: 180_000,
  // A limit for what never comes, not a measure of speed: a busy machine may take its time (speed is for `./lea bench`).
  expect: { timeout: 45_000 },
  // Each file has a server and a database of its own; while one browser waits for its page the other works.
  workers: 2,
  fullyParallel: false,
  retries: 0,
  use: {
    // The shell would be fetched and cached anew by every test: only the tests of it let it.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['LEA_CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
