/** One thin bar above the ledge: what is not sent yet, what was refused, what clashed, and the way to take the last act back. */
import { Component, useEffect, useRef, useState, type ComponentType, type ReactNode } from 'react';
import { View } from 'react-native';
import { router, usePathname, type Href } from 'expo-router';
import { dueSquares, valueText, type DueSquare, type JobFacts, type Value } from '@roughsill/core/records';
import { Button, Words } from '../kit';
import { flush, keepAgain, noticeSlice, outboxSlice, undo, useAppDispatch, useAppSelector } from '../store';
import { isTyping } from './keys';
import { saveFile } from './save-file';

/** A recorded value as it was entered: a year has no thousands comma, and a whole sheet of answers is named, not read out. */
function shown(v: unknown): string {
  if (v === null || v === undefined) return 'nothing';
  if (typeof v === 'number') return String(v);
  if (typeof v === 'object' && !Array.isArray(v)) return 'a sheet of answers';
  if (Array.isArray(v) && v.some((x) => typeof x !== 'string')) return `a list of ${v.length}`;
  return valueText(v as Value, 'ft');
}

/** A notice that fails never takes the screen below it along: it stays away until the next one. */
class Guard extends Component<{ readonly children: ReactNode }, { readonly failed: boolean }> {
  override state = { failed: false };
  static getDerivedStateFromError() {
    return { failed: true };
  }
  override render() {
    return this.state.failed ? null : this.props.children;
  }
}

const TICK_MS = 15_000;

/** The trial square that wants lifting first, looked for every few seconds while any clock runs. */
function useDueSquare(jobId: string | undefined): DueSquare | undefined {
  const facts = useAppSelector((s) => (jobId === undefined ? undefined : s.jobs.byId[jobId]?.facts));
  const [now, setNow] = useState(() => new Date().toISOString());
  const runs =
    facts?.surfaces.some((s) => s.squares.some((q) => q.startedAt !== null && q.lifted === null && q.removedAt === null)) ?? false;
  useEffect(() => {
    if (!runs) return undefined;
    const timer = setInterval(() => setNow(new Date().toISOString()), TICK_MS);
    return () => clearInterval(timer);
  }, [runs]);
  return facts && runs ? dueSquares(facts, now)[0] : undefined;
}

const minutes = (min: number): string => (min < 90 ? `${Math.max(1, Math.round(min))} min` : `${Math.round(min / 60)} h`);

const entries = (n: number): string => `${n} ${n === 1 ? 'entry' : 'entries'}`;

/** One line of the bar: what is so, and what can be done about it. */
function Line({
  says,
  alert,
  testID,
  children,
}: {
  readonly says: string;
  readonly alert?: boolean;
  readonly testID: string;
  readonly children?: ReactNode;
}) {
  return (
    <View role={alert ? 'alert' : 'status'} testID={testID} className="flex-row flex-wrap items-center justify-between gap-2">
      <Words look="strong" tone={alert ? 'oxide' : undefined} className="min-w-[12rem] flex-1">
        {says}
      </Words>
      <View className="flex-row flex-wrap gap-2">{children}</View>
    </View>
  );
}

/** What stands between this phone and the server. "Kept" is only said of what is. */
function Sending({ onAside }: { readonly onAside: boolean }) {
  const dispatch = useAppDispatch();
  const { waiting, aside, status, says, unkept, newer, restored } = useAppSelector((s) => s.outbox);
  const n = waiting.length;
  return (
    <>
      {unkept !== null && n > 0 ? (
        <Line
          testID="unkept"
          alert
          says={`This phone could not keep ${entries(n)}: ${unkept}. ${n === 1 ? 'It stands' : 'They stand'} on this page only until sent. Do not close it.`}
        >
          <Button label="Try again" onPress={() => void dispatch(keepAgain())} />
          <Button label="Save a copy" onPress={() => saveFile('rough-sill-entries.json', JSON.stringify(waiting, null, 1))} />
        </Line>
      ) : null}
      {status === 'away' && n > 0 && unkept === null ? (
        <Line testID="away" says={`${says ?? 'No signal.'} ${entries(n)} ${n === 1 ? 'is' : 'are'} kept on this phone and will be sent.`}>
          <Button label="Try now" onPress={() => void dispatch(flush())} />
        </Line>
      ) : null}
      {status === 'held' && n > 0 ? (
        <Line
          testID="held"
          says={`The server is older than this app and would not understand it. ${entries(n)} ${n === 1 ? 'waits' : 'wait'} on this phone until it is updated.`}
        />
      ) : null}
      {aside.length > 0 && !onAside ? (
        <Line
          testID="aside"
          alert
          says={`The server could not take ${entries(aside.length)}. ${aside.length === 1 ? 'It is' : 'They are'} set aside here.`}
        >
          <Button
            label={aside.length === 1 ? 'Look at it' : 'Look at them'}
            says="Look at what was set aside"
            onPress={() => router.navigate('/aside')}
          />
        </Line>
      ) : null}
      {restored !== null ? (
        <Line
          testID="restored"
          says={`The server was put back to an earlier day. What this phone had sent was sent again: ${restored === 0 ? 'nothing was missing there' : `${entries(restored)} ${restored === 1 ? 'was' : 'were'} missing there`}.`}
        >
          <Button label="Seen" onPress={() => dispatch(outboxSlice.actions.restored(null))} />
        </Line>
      ) : null}
      {newer ? (
        <Line testID="newer" says="A newer version of this app is ready.">
          <Button label="Load it" onPress={() => location.reload()} />
        </Line>
      ) : null}
    </>
  );
}

/** How long the last entry is told, ms; to take it back by the keyboard there is no end. */
const TOLD_MS = 12_000;
/** What leads to another screen by itself is told there too. */
const SAME_ACT_MS = 1500;

/** The last entry that can be taken back here: until it passes away, or another screen is gone to. */
function useTold(jobId: string | undefined): string | null {
  const dispatch = useAppDispatch();
  const { undo: steps, told } = useAppSelector((s) => s.notice);
  const step = steps[0];
  const path = usePathname();
  const since = useRef(0);
  useEffect(() => {
    if (told === null) return undefined;
    since.current = Date.now();
    const timer = setTimeout(() => dispatch(noticeSlice.actions.tellNothing()), TOLD_MS);
    return () => clearTimeout(timer);
  }, [told, step, dispatch]);
  useEffect(() => {
    if (Date.now() - since.current > SAME_ACT_MS) dispatch(noticeSlice.actions.tellNothing());
  }, [path, dispatch]);
  useEffect(() => {
    const press = (e: KeyboardEvent) => {
      if (!(e.ctrlKey || e.metaKey) || e.shiftKey || e.key.toLowerCase() !== 'z' || isTyping(e.target)) return;
      e.preventDefault();
      dispatch(undo(jobId));
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [dispatch, jobId]);
  // Outside a job the last act can be taken back as well: it may have removed the job itself.
  return told !== null && step && (jobId === undefined || step.jobId === jobId) ? told : null;
}

/** Whose name the entries carry, one tap from another. */
function AtThisPhone() {
  const person = useAppSelector((s) => s.session.person);
  return (
    <Button
      look="quiet"
      flush
      label={person}
      says={`At this phone: ${person}. Somebody else`}
      testID="at-phone"
      onPress={() => router.navigate('/who' as Href)}
    />
  );
}

/** One line of a fixed height: what was entered last with the way back, else where the entries are. */
function LastEntry({ jobId, told, Told }: Pick<NoticesProps, 'jobId' | 'Told'> & { readonly told: string | null }) {
  const dispatch = useAppDispatch();
  const { waiting, status } = useAppSelector((s) => s.outbox);
  const facts = useAppSelector((s) => (jobId === undefined ? undefined : s.jobs.byId[jobId]?.facts));
  const where =
    waiting.length === 0
      ? 'All entries are kept and sent.'
      : status === 'sending'
        ? 'Sending.'
        : `${entries(waiting.length)} kept on this phone.`;
  return (
    <View role="status" className="min-h-touch flex-row items-center justify-between gap-2">
      <Words look="note" className="flex-1">
        {facts && Told ? <Told facts={facts} told={told} where={where} /> : (told ?? where)}
      </Words>
      {told !== null ? (
        <Button look="quiet" label="Undo" says={`Undo: ${told}`} testID="undo" onPress={() => dispatch(undo(jobId))} />
      ) : (
        <AtThisPhone />
      )}
    </View>
  );
}

export interface ToldProps {
  readonly facts: JobFacts;
  readonly told: string | null;
  readonly where: string;
}
interface NoticesProps {
  /** On a job: JobNotices.tsx. */
  readonly jobId?: string;
  /** How the last entry is told beside what it made of the job: that hangs on the whole plan, which the first screen does not load. */
  readonly Told?: ComponentType<ToldProps>;
  /** This is the screen of what was set aside: it need not be told there. */
  readonly onAside?: boolean;
}
export const Notices = (props: NoticesProps) => (
  <Guard>
    <Bar {...props} />
  </Guard>
);

function Bar({ jobId, Told, onAside = false }: NoticesProps) {
  const dispatch = useAppDispatch();
  const { clashes, refused } = useAppSelector((s) => s.notice);
  const quiet = useAppSelector(
    ({ outbox: o }) =>
      (o.waiting.length === 0 || (o.status !== 'away' && o.status !== 'held' && o.unkept === null)) &&
      (o.aside.length === 0 || onAside) &&
      o.restored === null &&
      !o.newer,
  );
  const clash = clashes[0];
  const due = useDueSquare(jobId);
  const told = useTold(jobId);
  // On a job its line is always there: what was entered last, and the way back, never push what stands above.
  if (jobId === undefined && quiet && told === null && !clash && !refused && !due) return null;
  return (
    <View {...({ dataSet: { noprint: 'yes' } } as object)} className="gap-1 border-t-2 border-line bg-panel px-4">
      <Sending onAside={onAside} />
      {due ? (
        <View role="status" testID="due-square" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words look="strong" className="min-w-[12rem] flex-1">
            {`Square ${due.number}, ${due.surface.name}: ${due.leftMin > 0 ? `lift it in ${minutes(due.leftMin)}` : `over by ${minutes(-due.leftMin)}, lift it`}.`}
          </Words>
          <Button
            label="Go there"
            says={`Go to square ${due.number} on ${due.surface.name}`}
            onPress={() => router.navigate(`/job/${jobId}/trial/${due.surface.id}` as Href)}
          />
        </View>
      ) : null}
      {refused ? (
        <View role="alert" testID="refused" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words look="strong" tone="oxide" className="min-w-[12rem] flex-1">
            {[refused.says, ...refused.problems.map((p) => p.message)].join(' ')}
          </Words>
          <Button label="Seen" onPress={() => dispatch(noticeSlice.actions.dismissed())} />
        </View>
      ) : null}
      {clash ? (
        <View role="alert" testID="clash" className="flex-row flex-wrap items-center justify-between gap-2">
          <Words
            look="strong"
            className="min-w-[12rem] flex-1"
          >{`Someone else had changed this to ${shown(clash.theirs)}. Yours, ${shown(clash.yours)}, stands now; both are in the log.`}</Words>
          <Button label="Seen" onPress={() => dispatch(noticeSlice.actions.dismissed())} />
        </View>
      ) : null}
      {jobId !== undefined || told !== null ? <LastEntry jobId={jobId} told={told} Told={Told} /> : null}
    </View>
  );
}
