import { defineConfig } from '@playwright/test'
import { findChromium } from './scripts/project.mjs'

const PORT = 4390

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  // Only what hangs is ended: a busy machine is no fault.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  ...(process.env.YPSOS_DEEP !== '1' && { grepInvert: /@deep/ }),
  reporter: [['list'], ['json']],
  use: {
    // Each test would fetch every file of the build once more; the one on working offline allows it.
    serviceWorkers: 'block',
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: findChromium() ?? 'chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--process-per-site',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start -p ${PORT} -H 127.0.0.1`,
    url: `http://localhost:${PORT}`,
    env: { YPSOS_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5_000 },
  },
})
