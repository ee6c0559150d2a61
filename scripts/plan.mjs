// npm run -s plan -- FILE [--format json|md] [--detail picks|all] [--firm FILE]
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { register } = await import('tsx/esm/api');
register();
const { planCommand } = await import('./plan-command.ts');
process.exitCode = planCommand(process.argv.slice(2));
