/** npm run docs: writes what is generated from the code. Run from the project's folder. */
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { generated } from './generated';

for (const [file, text] of Object.entries(generated())) {
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, text);
}
