// npm run -s mix -- caustic|neutralise|rinse|thin|paste|mist|nozzle|meet|label FILE.json
import { commandIn } from './lib/bundle.mjs';
import { ensurePackages } from './lib/run.mjs';

ensurePackages();
const { benchCommand } = await commandIn('bench-command.ts');
process.exitCode = benchCommand(process.argv.slice(2));
