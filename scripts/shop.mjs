// npm run -s shop -- FILE [--shelf SHELF.json] [--zone ID | --on 2026-05-04] [--format json|csv|txt] [--firm FILE]
import { commandIn } from './lib/bundle.mjs';
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { shopCommand } = await commandIn('shop-command.ts');
process.exitCode = shopCommand(process.argv.slice(2));
