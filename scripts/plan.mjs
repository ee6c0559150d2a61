// npm run -s plan -- FILE [--format json|md] [--detail picks|all] [--firm FILE]
import { commandIn } from './lib/bundle.mjs';
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { planCommand } = await commandIn('plan-command.ts');
process.exitCode = planCommand(process.argv.slice(2));
