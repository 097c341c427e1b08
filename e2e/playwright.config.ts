import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  timeout: 120_000,
  // Generous: CI runs on two slow shared cores, which stand still now and then.
  expect: { timeout: 30_000 },
  fullyParallel: false,
  // A page, its worker and its server take turns: two at a time keep both cores at work.
  workers: 2,
  retries: 0,
  reporter: [['line'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    // Requests are looked at as the page makes them; the test of the offline copy lets it in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--headless',
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
});
