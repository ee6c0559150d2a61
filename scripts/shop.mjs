// npm run -s shop -- FILE [--shelf SHELF.json] [--zone ID | --on 2026-05-04] [--format json|csv|txt] [--firm FILE]
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { register } = await import('tsx/esm/api');
register();
const { shopCommand } = await import('./shop-command.ts');
process.exitCode = shopCommand(process.argv.slice(2));
