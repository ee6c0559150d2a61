/** A worker thread: has its own connection and its own memory, and answers one task at a time. */
import { randomUUID } from 'node:crypto';
import type { MessagePort } from 'node:worker_threads';
import { move, transferableSymbol, valueSymbol, workerData } from 'piscina';
import pino from 'pino';
import {
  CHANGE_VERSION,
  createDeriver,
  FIRM_ID,
  parseJobFile,
  sampleRegister,
  shoppingOf,
  spellAs,
  withNewIds,
  writeJobFile,
  type Change,
  type FirmSettings,
  type JobFacts,
  type JobPlan,
} from '@roughsill/core';
import { RangedError } from '@roughsill/core/air';
import { bagsCsv, readShelf, registerCsv, shelfDrafts } from '@roughsill/core/import';
import { QUESTIONS, Refused, refusalSays } from '@roughsill/core/prepare';
import { jobReport, methodsReport, shoppingCsv, shoppingPaper, shoppingText, type Detail } from '@roughsill/core/report';
import { connect, WORKING } from '../db/client';
import { Epoch } from '../db/database-epoch';
import { FirmStore } from '../db/firm-store';
import { MOST_VALUES_OF_A_FILE, readJson } from '../request-body';
import { MediaStore } from '../media/media-store';
import { redrawn } from '../media/picture';
import { bottleLabelsPdf } from '../pdf/bottle-labels';
import { clientPdf } from '../pdf/client';
import { bagsPdf, loadsPdf, programmePdf, signsPdf } from '../pdf/zone-papers';
import { shoppingPdf } from '../pdf/shopping';
import { custodyPdf, labelsPdf, surveyPdf } from '../pdf/papers';
import { asProblem, HttpProblem } from '../problem';
import { MAY_WRITE, type Answer, type JobBody, type Paper, type Task, type WorkerPlace } from './tasks';

const place = workerData as WorkerPlace;
const log = pino({ level: 'silent' });
let opened: FirmStore | undefined;
const store = (): FirmStore => {
  if (!opened) {
    const database = connect(place.databaseUrl, log, WORKING);
    opened = new FirmStore(database, place.firmId, new Epoch(database, place.markFile));
  }
  return opened;
};

/** Verdicts are remembered by the settings that they were reckoned with: while those say the same, they are the same object. */
let firm: { readonly text: string; readonly settings: FirmSettings } | undefined;
async function planning(now: string): Promise<FirmSettings> {
  const settings = await store().planning(new Date(now));
  const text = JSON.stringify(settings);
  if (firm?.text !== text) firm = { text, settings };
  return firm.settings;
}

type Told = (share: number) => void;

/** What is said of it is written as where its rules come from: this thread does one task at a time. */
function spelled(facts: JobFacts): JobFacts {
  spellAs(facts.job.rulebook);
  return facts;
}

async function factsOf(jobId: string): Promise<JobFacts> {
  const facts = await store().load(jobId);
  if (!facts) throw new HttpProblem('not-found', `There is no job ${jobId}.`);
  return spelled(facts);
}

const factsIn = (body: JobBody): JobFacts =>
  spelled((JSON.parse(Buffer.from(body.buffer, body.byteOffset, body.byteLength).toString()) as { facts: JobFacts }).facts);

const yearOf = (now: string): number => new Date(now).getUTCFullYear();

/** Tells only what somebody could see move. */
function planned(facts: JobFacts, settings: FirmSettings, now: string, told: Told): JobPlan {
  let last = 0;
  return createDeriver().derive(facts, settings, yearOf(now), (share) => {
    if (share - last < 0.02) return;
    last = share;
    told(share * 0.6);
  });
}

const report = (facts: JobFacts, settings: FirmSettings, now: string, detail: Detail, told: Told): Uint8Array => {
  const plan = planned(facts, settings, now, told);
  told(0.7);
  return Buffer.from(JSON.stringify(jobReport(facts, plan, settings, now, { detail })));
};

async function fileFacts(file: Uint8Array, now: string, refusal: string): Promise<JobFacts> {
  const parsed = parseJobFile(await readJson(file, MOST_VALUES_OF_A_FILE), new Date(now).getUTCFullYear());
  if (!parsed.ok) throw new HttpProblem('does-not-fit', refusal, parsed.problems);
  return spelled(parsed.value);
}

const MAKERS: Readonly<Record<Paper, typeof surveyPdf>> = {
  survey: surveyPdf,
  custody: custodyPdf,
  labels: labelsPdf,
  bags: bagsPdf,
  loads: loadsPdf,
  signs: signsPdf,
  programme: programmePdf,
  client: clientPdf,
};

/** A refusal at the bench names the field that it is about, where there is one. */
async function asked<T>(answer: () => T | Promise<T>): Promise<T> {
  try {
    return await answer();
  } catch (e) {
    if (e instanceof RangedError && !(e instanceof Refused)) throw new HttpProblem('does-not-fit', `${e.message}.`);
    if (!(e instanceof Refused)) throw e;
    const { refusal } = e;
    const says = refusalSays(refusal, 'en', 'm');
    throw new HttpProblem('does-not-fit', says, 'what' in refusal ? [{ path: refusal.what, message: says }] : [], { refusal: refusal.id });
  }
}

/** Only what may be written is waited for; who was stopped meanwhile is ended here. */
type MayWrite = () => Promise<void>;

async function work(task: Task, told: Told, mayWrite: MayWrite): Promise<Answer> {
  switch (task.kind) {
    case 'plan': {
      return { ok: true, bytes: report(factsIn(task.body), await planning(task.now), task.now, task.detail, told) };
    }
    case 'methods': {
      const facts = factsIn(task.body);
      const settings = await planning(task.now);
      const plan = createDeriver().surface(facts, task.surfaceId, settings, yearOf(task.now));
      if (!plan) throw new HttpProblem('not-found', `There is no surface ${task.surfaceId} on job ${facts.job.id}.`);
      return { ok: true, bytes: Buffer.from(JSON.stringify(methodsReport(plan, facts.job.units, settings))) };
    }
    case 'planFile': {
      const facts = await fileFacts(task.file, task.now, 'The job file was not read.');
      return { ok: true, bytes: report(facts, await planning(task.now), task.now, task.detail, told) };
    }
    case 'paper': {
      const facts = await factsOf(task.jobId);
      const settings = await planning(task.now);
      const plan = planned(facts, settings, task.now, told);
      told(0.7);
      const bytes = await MAKERS[task.paper](
        {
          facts,
          plan,
          settings,
          now: new Date(task.now),
          surfaceId: task.surfaceId,
          origin: task.origin,
          people: (await store().firm()).facts.people,
        },
        new MediaStore(place.photosDir),
        place.firmId,
      );
      return { ok: true, bytes };
    }
    case 'register': {
      const facts = await factsOf(task.jobId);
      const csv = task.what === 'samples' ? registerCsv(sampleRegister(facts, await planning(task.now), task.now)) : bagsCsv(facts);
      return { ok: true, bytes: Buffer.from(csv) };
    }
    case 'shopping': {
      const facts = await factsOf(task.jobId);
      const { scope } = task;
      if (scope.kind === 'zone' && ![...facts.spaces, ...facts.zones, facts.job].some((z) => z.id === scope.zoneId))
        throw new HttpProblem('not-found', `There is no zone ${scope.zoneId} on job ${task.jobId}.`);
      const settings = await planning(task.now);
      const plan = planned(facts, settings, task.now, told);
      told(0.7);
      const { tins } = (await store().firm()).facts;
      const shopping = shoppingOf(facts, plan, { settings, tins, today: task.now.slice(0, 10) }, scope);
      const paper = shoppingPaper(shopping, facts, settings);
      const written = {
        json: () => Buffer.from(JSON.stringify({ ...shopping, says: paper })),
        csv: () => Buffer.from(shoppingCsv(paper, settings)),
        txt: () => Buffer.from(shoppingText(paper, `To buy: ${facts.job.name}`)),
        pdf: () => shoppingPdf(paper, facts, settings, new Date(task.now)),
      };
      return { ok: true, bytes: await written[task.format]() };
    }
    case 'file':
      return { ok: true, bytes: Buffer.from(writeJobFile(await factsOf(task.jobId))) };
    case 'import': {
      told(0.1);
      const read = await fileFacts(task.file, task.now, 'Nothing was opened. The file has to be put right first.');
      const facts = task.copy ? withNewIds(read, randomUUID) : read;
      told(0.5);
      await mayWrite();
      const { cursor } = await store().bring(facts, randomUUID, place.person, new Date(task.now));
      return { ok: true, jobId: facts.job.id, cursor, epoch: await store().epoch() };
    }
    case 'shelf': {
      const read = readShelf(JSON.stringify(await readJson(task.file)));
      if (!read.ok) throw new HttpProblem('does-not-fit', 'Nothing was opened. The file has to be put right first.', read.problems);
      const drafts = shelfDrafts(read.value, (await store().firm()).facts);
      const changes = drafts.map((d): Change => ({
        ...d,
        id: randomUUID(),
        v: CHANGE_VERSION,
        jobId: null,
        parent: { kind: 'firm', id: FIRM_ID },
        by: place.person,
        at: task.now,
        personId: null,
        act: null,
        device: null,
      }));
      await mayWrite();
      if (changes.length > 0) await store().applyWhole(changes, new Date(task.now));
      const counted = (op: Change['op']) => drafts.filter((d) => d.op === op).length;
      return { ok: true, bytes: Buffer.from(JSON.stringify({ added: counted('add'), set: counted('set') })) };
    }
    case 'bench':
      return { ok: true, bytes: Buffer.from(JSON.stringify(await asked(() => QUESTIONS[task.question].answer(task.asked)))) };
    case 'bottleLabels':
      return { ok: true, bytes: await asked(() => bottleLabelsPdf(task.sheet)) };
    case 'picture':
      return { ok: true, bytes: await redrawn(Buffer.from(task.bytes)) };
  }
}

export default async function ({ task, port }: { task: Task; port: MessagePort }): Promise<Answer> {
  try {
    const mayWrite = () =>
      new Promise<void>((resolve) => {
        port.once('message', () => resolve());
        port.postMessage(MAY_WRITE);
      });
    const answer = await work(task, (share) => port.postMessage(share), mayWrite);
    if (answer.ok && 'bytes' in answer) {
      // Handed over, not copied; a view on a larger buffer is cut out first.
      const { bytes } = answer;
      const own = bytes.byteLength === bytes.buffer.byteLength ? bytes : Uint8Array.prototype.slice.call(bytes);
      return move({ [transferableSymbol]: own.buffer, [valueSymbol]: { ok: true, bytes: own } } as never) as never;
    }
    return answer;
  } catch (e) {
    const p = asProblem(e);
    if (p.code === 'our-fault') throw e;
    return { ok: false, code: p.code, detail: p.detail, errors: p.errors, more: p.more };
  } finally {
    port.close();
  }
}
