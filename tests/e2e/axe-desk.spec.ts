/** What stands otherwise at a desk: list and detail side by side, tables, what is compared in line. The rest only has more room. */
import { test } from './app';
import { fitsAtTwice, look, sample, STAGES } from './look';

test('axe is clean, targets can be hit, nothing runs off the side', async ({ app }) => {
  test.setTimeout(180_000);
  const { jobId, sash } = await sample(app);
  const screens = [
    `/job/${jobId}/walk`,
    ...STAGES.map((s) => `/job/${jobId}/${s}/${sash}`),
    `/table/${jobId}`,
    `/compare/${jobId}?surface=${sash}`,
    `/print/${jobId}?surface=${sash}`,
  ];
  for (const at of screens) await look(app, at);
});

test('text at 200 % still fits the width', ({ app }) => fitsAtTwice(app));
