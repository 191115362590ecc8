import { defineConfig } from '@playwright/test'

const PORT = process.env.E2E_PORT ?? '4377'

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/demo-state.ts',
  outputDir: 'test-results/e2e',
  // Room for a machine three times as slow: what takes long is measured by `npm run bench`, not here.
  timeout: 480_000,
  expect: { timeout: 45_000 },
  // Three on two cores were no faster over all walks (546 s, 544 s), and each took half as long again.
  workers: 2,
  fullyParallel: true,
  retries: 0,
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 120_000,
    // What the service worker answers no walk could hold back; the walk without a network has it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
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
  webServer: {
    command: 'node scripts/serve.mjs',
    url: `http://127.0.0.1:${PORT}`,
    env: { NEXT_TELEMETRY_DISABLED: '1', PORT },
    reuseExistingServer: false,
    timeout: 180_000,
  },
})
