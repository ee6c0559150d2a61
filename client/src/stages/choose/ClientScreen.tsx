/** One surface for whoever pays: what is there, three ways in line, which is chosen, because of what and instead of what. */
import { useMemo } from 'react';
import { ActivityIndicator, View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import { formatRange, say, type JobFacts, type Surface } from '@roughsill/core';
import type { ClientPage } from '@roughsill/core/report';
import { Column, Columns, Empty, Panel, TextField, useWide, Words } from '../../kit';
import { Section, sectionCoats } from '../../section';
import { commit, set, useAppDispatch, useAppSelector, useSettings } from '../../store';
import { useSurfacePlan } from '../../store/derived';
import { JobPage } from '../JobPage';
import { useMoney } from '../money';
import { PaperButton } from '../PaperButton';
import { useAsked } from '../useAsked';

export const ClientScreen = () => (
  <JobPage full title="For the client" hint="One side of paper: three ways, which is chosen, and why." back="choose">
    {(facts) => <ForSurface facts={facts} />}
  </JobPage>
);

function ForSurface({ facts }: { readonly facts: JobFacts }) {
  const { surface: id } = useLocalSearchParams<{ surface?: string }>();
  const surface = facts.surfaces.find((s) => s.id === id && s.removedAt === null);
  return surface ? <Page facts={facts} surface={surface} /> : <Empty says="Open this page from a surface, in Choose." />;
}

const days = (n: number): string => (n < 10 ? n.toFixed(1) : String(Math.round(n)));

function Ways({ page }: { readonly page: ClientPage }) {
  const money = useMoney();
  const wide = useWide();
  return (
    <View className={wide ? 'flex-row gap-2' : 'gap-2'} testID="ways">
      {page.methods.map((m) => (
        <View key={m.methodId} className={`flex-1 gap-0.5 bg-panel p-3 ${m.chosen ? 'border-t-4 border-soot' : 'border-t-4 border-line'}`}>
          <Words look="row">{m.name}</Words>
          {m.chosen ? <Words look="note">{page.decided ? 'chosen' : 'proposed'}</Words> : null}
          <Words look="strong">{formatRange(m.money, money)}</Words>
          <Words>{`${formatRange(m.days, days)} days with drying`}</Words>
          <Words>{`Harm to the old material: ${m.harm}`}</Words>
          <Words look="note">{m.goes}</Words>
        </View>
      ))}
    </View>
  );
}

const Lines = ({ says }: { readonly says: readonly string[] }) => (
  <View className="gap-1">
    {says.map((s) => (
      <Words key={s}>{s}</Words>
    ))}
  </View>
);

function Page({ facts, surface }: { readonly facts: JobFacts; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const settings = useSettings();
  const unsent = useAppSelector((s) => s.outbox.waiting.length > 0);
  const plan = useSurfacePlan(facts, surface.id);
  const page = useAsked(
    useMemo(() => ({ kind: 'client' as const, facts, settings, surfaceId: surface.id }), [facts, settings, surface.id]),
  );
  if (!plan || page === null) return <ActivityIndicator aria-label="Comparing three ways" />;
  const chosen = page.methods.find((m) => m.chosen);
  return (
    <Columns>
      <Column>
        <View className="gap-1">
          <Words look="head" level={2}>
            {page.surface}
          </Words>
          <Words>{page.about}</Words>
          <Lines says={page.found} />
        </View>
        <Section
          coats={sectionCoats(plan)}
          material={surface.material}
          bite={chosen ? { coats: page.bite, label: say(chosen.methodId), toBare: page.bite >= page.coats.length } : undefined}
        />
        <Panel title="Finish" testID="client-finish">
          <Lines says={page.finish} />
        </Panel>
        <Panel title="Price">
          <Words>{page.price}</Words>
        </Panel>
        {page.care.length > 0 ? (
          <Panel title="Meanwhile">
            <Lines says={page.care} />
          </Panel>
        ) : null}
      </Column>
      <Column>
        <Panel title={page.methods.length === 3 ? 'Three ways' : 'Ways'}>
          <Ways page={page} />
        </Panel>
        <Panel title={chosen ? `${page.decided ? 'Chosen' : 'Proposed'} because` : 'No way may be used yet'} testID="chosen-because">
          <TextField
            label="In your own words, one sentence"
            value={surface.clientWhy}
            placeholder="You want to keep the old glass, and this never warms it."
            onCommit={(clientWhy) => dispatch(commit(facts.job.id, [set('surface', surface.id, { clientWhy })], 'for the client'))}
            testID="client-why"
          />
          {page.declined ? <Words look="strong">{page.declined}</Words> : null}
          <Lines says={page.chosenBecause} />
        </Panel>
        {page.insteadOf.length > 0 ? (
          <Panel title="Instead of" testID="instead-of">
            <Lines says={page.insteadOf} />
          </Panel>
        ) : null}
        <PaperButton
          job={`${facts.job.name} ${surface.name}`}
          main
          label="For the client, PDF"
          path={`/api/jobs/${facts.job.id}/surfaces/${surface.id}/client.pdf`}
          testID="client-pdf"
        />
        {unsent ? <Words look="note">Entries are still on their way: the paper shows what has reached the server.</Words> : null}
      </Column>
    </Columns>
  );
}
