/** The sample register as CSV, for a lab's own form or a spreadsheet. */
import { say } from '../reasons';
import type { Register } from '../probe/register';
import { writeTable } from './table';

const HEADERS = [
  'sample',
  'hazard',
  'kind',
  'room or side',
  'surface',
  'place',
  'state',
  'taken',
  'sent',
  'due',
  'lab',
  'result',
  'unit',
  'answer',
  'note',
];

export const registerCsv = (r: Register): string =>
  writeTable(
    HEADERS,
    r.lines.map((l) => [
      l.sample.number,
      l.sample.hazard,
      l.sample.kind,
      l.spaceName,
      l.surfaceName,
      l.sample.place,
      l.state,
      l.sample.takenAt,
      l.sample.sentAt,
      l.dueAt,
      l.sample.lab,
      l.result?.trace ? 'trace' : l.result?.below ? `<${l.result.value}` : (l.result?.value ?? null),
      l.result?.unit ?? null,
      l.answer === null ? null : say(`answer.${l.answer}`),
      l.sample.note,
    ]),
  );
