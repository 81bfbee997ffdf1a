import { defineConfig } from '@playwright/test';
import { SERVER_ENV } from './scripts/serverEnv.mjs';

const PORT = 4199;
export const HOME = '/tmp/glassine-e2e';

export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results/browser',
  // Every file has its own server, data folder and port.
  workers: 2,
  // Generous: a machine that others share may get a fifth of its time.
  timeout: 600_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/playwright.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Where a studio pays in euros, measures in millimetres, and its days are those of UTC.
    locale: 'en-IE',
    timezoneId: 'UTC',
    actionTimeout: 60_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  webServer: {
    command: `rm -rf ${HOME} && node .next/glassine-server.mjs`,
    url: `http://127.0.0.1:${PORT}`,
    env: {
      GLASSINE_HOME: HOME,
      PORT: String(PORT),
      ...SERVER_ENV,
    },
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
