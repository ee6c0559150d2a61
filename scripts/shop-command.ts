/** Reads a job file and a shelf and prints what is still to buy. Exit 0: printed. Exit 2: a file or the call is wrong, nothing printed. */
import { parseArgs } from 'node:util';
import { createDeriver, shoppingOf, type BuyScope, type Product, type Tin } from '@roughsill/core';
import { readShelf } from '@roughsill/core/import';
import { shoppingCsv, shoppingPaper, shoppingText } from '@roughsill/core/report';
import { jobAtHand, opened, refuse } from './job-at-hand';

const USAGE =
  'usage: npm run -s shop -- FILE [--shelf SHELF.json] [--zone ID | --on 2026-05-04] [--format json|csv|txt] [--firm SETTINGS.json] [--now 2026-05-04T13:20:00.000Z]';

const NEVER = { removedAt: null } as const;

export function shopCommand(argv: readonly string[]): 0 | 2 {
  let call;
  try {
    call = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        format: { type: 'string', default: 'txt' },
        shelf: { type: 'string' },
        zone: { type: 'string' },
        on: { type: 'string' },
        firm: { type: 'string' },
        now: { type: 'string' },
      },
    });
  } catch (e) {
    return refuse({ path: '(call)', message: `${(e as Error).message}; ${USAGE}` });
  }
  const { values, positionals } = call;
  const [file] = positionals;
  if (file === undefined || positionals.length > 1) return refuse({ path: '(call)', message: `name one job file; ${USAGE}` });
  if (values.format !== 'json' && values.format !== 'csv' && values.format !== 'txt')
    return refuse({ path: '--format', message: `is not json, csv or txt: ${values.format}` });
  if (values.zone !== undefined && values.on !== undefined) return refuse({ path: '--on', message: 'goes with no zone: name one of them' });
  const given = jobAtHand(file, values);
  if (!given.ok) return refuse(...given.problems);
  const { facts, now, thisYear } = given.value;
  let products: readonly Product[] = [];
  let tins: readonly Tin[] = [];
  if (values.shelf !== undefined) {
    const shelf = opened(values.shelf);
    const read = shelf.ok ? readShelf(shelf.value) : shelf;
    if (!read.ok) return refuse(...read.problems);
    products = read.value.products.map((p) => ({ ...p, ...NEVER }));
    tins = read.value.tins.map((t) => ({ ...t, ...NEVER }));
  }
  const scope: BuyScope =
    values.zone !== undefined
      ? { kind: 'zone', zoneId: values.zone }
      : values.on !== undefined
        ? { kind: 'day', on: values.on }
        : { kind: 'job' };
  const settings = { ...given.value.settings, products };
  const plan = createDeriver().derive(facts, settings, thisYear);
  if (scope.kind === 'zone' && !plan.zones.some((z) => z.zoneId === scope.zoneId))
    return refuse({ path: '--zone', message: `is none of this job: ${plan.zones.map((z) => z.zoneId).join(', ')}` });
  const shopping = shoppingOf(facts, plan, { settings, tins, today: now.slice(0, 10) }, scope);
  const paper = shoppingPaper(shopping, facts, settings);
  process.stdout.write(
    values.format === 'csv'
      ? shoppingCsv(paper, settings)
      : values.format === 'json'
        ? `${JSON.stringify({ ...shopping, says: paper }, null, 2)}\n`
        : shoppingText(paper, `To buy: ${facts.job.name}`),
  );
  return 0;
}
