/** The house stands: every folder on a floor, no file in a circle with others, types included. That arrows go down, the linter holds. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { preProcessFile } from 'typescript';
import { floors } from '../floors.json';

const SRC = __dirname;
const files = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((f) => /(?<!\.test|\.d)\.ts$/.test(f));
const known = new Set(files);

function importsOf(file: string): string[] {
  return preProcessFile(readFileSync(path.join(SRC, file), 'utf8'))
    .importedFiles.filter(({ fileName }) => fileName.startsWith('.'))
    .flatMap(({ fileName }) => {
      const to = path.join(path.dirname(file), fileName);
      return [`${to}.ts`, path.join(to, 'index.ts')].filter((f) => known.has(f)).slice(0, 1);
    });
}
const arrows = new Map(files.map((f) => [f, importsOf(f)]));

test('every folder stands on one floor, and every floor holds folders that are there', () => {
  const folders = new Set(files.filter((f) => f.includes(path.sep)).map((f) => f.split(path.sep)[0]!));
  expect(floors.flatMap((f) => f.folders).sort()).toEqual([...folders].filter((f) => f !== 'situations').sort());
});

test('no file takes from one that takes from it', () => {
  const done = new Set<string>();
  const circles: string[] = [];
  const walk = (file: string, way: readonly string[]): void => {
    const at = way.indexOf(file);
    if (at >= 0) circles.push([...way.slice(at), file].join(' -> '));
    if (at >= 0 || done.has(file)) return;
    for (const next of arrows.get(file)!) walk(next, [...way, file]);
    done.add(file);
  };
  for (const f of files) walk(f, []);
  expect([...arrows.values()].flat().length).toBeGreaterThan(500);
  expect(circles).toEqual([]);
});
