import path from 'node:path';
import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../../scripts/lib/run.mjs';

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** The production build in headless Chromium, as a phone and as a desk. Started by scripts/test.mjs, which brings the database. */
export default defineConfig({
  testDir: '.',
  outputDir: '../../.data/e2e',
  globalSetup: './setup.ts',
  workers: 1,
  timeout: 90_000,
  // An app that is broken as a whole is told after a few tests, and a run that hangs tells what passed.
  maxFailures: 10,
  globalTimeout: 35 * 60_000,
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json']],
  use: {
    launchOptions: { executablePath: CHROMIUM, args },
    serviceWorkers: 'block',
    timezoneId: 'America/New_York',
    locale: 'en-US',
    // A trace of every test costs a tenth of the whole: `--trace on` makes one.
    screenshot: 'only-on-failure',
  },
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true }, testIgnore: /desk|zz/ },
    // What width changes: all that a desk is for, each screen's fit, one job from end to end, and what else says so of itself.
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } }, testMatch: /flow|desk/ },
    { name: 'wide too', use: { viewport: { width: 1280, height: 800 } }, testIgnore: /flow|desk|zz/, grep: /@wide/ },
    { name: 'large', use: { viewport: { width: 1600, height: 1000 } }, testMatch: /desk\.spec/, grep: /side by side|strokes/ },
    // Stops the database under the app, so it comes last.
    {
      name: 'away',
      use: { viewport: { width: 390, height: 844 }, serviceWorkers: 'allow' },
      testMatch: /zz/,
      dependencies: ['phone', 'wide', 'wide too', 'large'],
    },
  ],
  metadata: { root: path.resolve(import.meta.dirname, '../..') },
});
