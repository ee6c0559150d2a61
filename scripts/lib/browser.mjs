/** The browser of the machine, without what phones home or needs a screen. */
import { CHROMIUM } from './run.mjs';

export async function openBrowser() {
  const { chromium } = await import('@playwright/test');
  return chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-sync'],
  });
}
