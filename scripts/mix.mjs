// npm run -s mix -- caustic|neutralise|rinse|thin|paste|mist|nozzle|meet|label FILE.json
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { register } = await import('tsx/esm/api');
register();
const { benchCommand } = await import('./bench-command.ts');
process.exitCode = benchCommand(process.argv.slice(2));
