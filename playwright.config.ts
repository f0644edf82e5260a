import { defineConfig } from '@playwright/test';
import { CHROMIUM, CHROMIUM_ARGS } from './scripts/prepare.mjs';

const PORT = 4391;
/** Nothing is drawn in 3D, and a new page finds the process of the last one: starting that is a fifth of opening it. */
const LIGHT = ['--disable-3d-apis', '--process-per-site'];

export default defineConfig({
  testDir: 'e2e',
  // Nothing is timed by a test: other machines may take nine tenths of this one for minutes.
  timeout: 120_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  retries: process.env.CI ? 1 : 0,
  // What hangs is named before the whole is ended.
  globalTimeout: 30 * 60_000,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  projects: [
    // What is drawn through the lens is drawn, in software, which takes most of a test's time; the other screens' tests
    // do without.
    { name: 'picture', workers: 1, testMatch: /(move|lens|picture|film)\.spec\.ts/ },
    {
      name: 'screens',
      testIgnore: /(move|lens|picture|film)\.spec\.ts/,
      use: { launchOptions: { executablePath: CHROMIUM, args: [...CHROMIUM_ARGS, ...LIGHT] } },
    },
  ],
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Keeping the whole app for offline takes a moment in every new browser: only its own test does.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: CHROMIUM,
      args: CHROMIUM_ARGS,
    },
  },
  webServer: {
    command: 'node scripts/serve.mjs',
    env: { PORT: String(PORT) },
    url: `http://localhost:${PORT}/api/health`,
    reuseExistingServer: false,
  },
});
