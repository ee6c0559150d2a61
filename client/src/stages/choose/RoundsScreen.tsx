/** How much to lay at once: steppers change crew, cover, weather and size, and it answers at once. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import {
  convert,
  formatHours,
  formatMeasure,
  measure,
  methodById,
  roundForReading,
  say,
  type JobFacts,
  type MethodId,
  type Surface,
  many,
} from '@roughsill/core';
import { dwellRhythm } from '@roughsill/core/compare';
import { roundQuestion, rounds, type RoundQuestion, type Rounds } from '@roughsill/core/rounds';
import { Empty, Figure, NumberField, Panel, Select, Toggle, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { useSettings } from '../../store';
import { useSurfacePlan } from '../../store/derived';
import { JobPage } from '../JobPage';
import { useMoney } from '../money';
import { cap } from '../../kit/text';
import { Lanes } from './Lanes';

export const RoundsScreen = () => (
  <JobPage title="Rounds" hint="How much to lay at once, so that nothing dries and nobody stands." back="choose">
    {(facts) => <ForSurface facts={facts} />}
  </JobPage>
);

function ForSurface({ facts }: { readonly facts: JobFacts }) {
  const { surface: id } = useLocalSearchParams<{ surface?: string }>();
  const surface = facts.surfaces.find((s) => s.id === id && s.removedAt === null);
  if (!surface) return <Empty says="Open Rounds from a surface, in Choose." />;
  return <ForParts key={surface.id} facts={facts} surface={surface} />;
}

function ForParts({ facts, surface }: { readonly facts: JobFacts; readonly surface: Surface }) {
  const plan = useSurfacePlan(facts, surface.id);
  const settings = useSettings();
  const [picked, setPicked] = useState<string | null>(null);
  const [methodId, setMethodId] = useState<MethodId | null>(null);
  if (!plan) return null;
  // What the plan has comes first; what else may be laid here can be asked too.
  const asked = plan.choice.parts.flatMap((part) => {
    const laid = [...part.options, ...part.helpers]
      .filter((o) => o.verdict !== 'blocked' && methodById(o.methodId).laying !== null)
      .sort((a, b) => Number(b.perM2.proof === 'trial') - Number(a.perM2.proof === 'trial'))
      .map((o) => o.methodId);
    const planned = roundQuestion(surface, plan, part.partId, settings);
    const first = planned?.method.id ?? laid[0];
    const wanted = methodId && laid.includes(methodId) ? methodId : first;
    const question = wanted && roundQuestion(surface, plan, part.partId, settings, wanted);
    return question
      ? [{ part, question, laid: [...new Set(planned ? [planned.method.id, ...laid] : laid)], planned: planned?.method.id === wanted }]
      : [];
  });
  const now = asked.find((a) => a.part.partId === picked) ?? asked.find((a) => a.planned) ?? asked[0];
  if (!now) return <Empty says="Nothing that is laid and left to soak may be used on this surface." />;
  return (
    <>
      {asked.length > 1 ? (
        <Select
          label="Part"
          value={now.part.partId}
          options={asked.map((a) => ({ value: a.part.partId, label: cap(say(a.part.kind)) }))}
          onChange={setPicked}
        />
      ) : null}
      {now.laid.length > 1 ? (
        <Select
          label="With"
          value={now.question.method.id}
          options={now.laid.map((value) => ({ value, label: cap(say(value)) }))}
          onChange={setMethodId}
          testID="round-method"
        />
      ) : null}
      <View>
        <Words look="head" level={2}>{`${surface.name}: ${say(now.question.method.id)}`}</Words>
        {now.planned ? null : <Words look="note">Not in the plan: to see how it would go.</Words>}
      </View>
      <Answering key={`${now.part.partId}${now.question.method.id}`} start={now.question} equalPieces={surface.count > 1} />
    </>
  );
}

function Answering({ start, equalPieces }: { readonly start: RoundQuestion; readonly equalPieces: boolean }) {
  const [q, setQ] = useState(start);
  const units = useUnits();
  const settings = useSettings();
  const money = useMoney();
  const r = useMemo(() => rounds(q), [q]);
  const put = (over: Partial<RoundQuestion>) => setQ({ ...q, ...over });
  const unit = units === 'ft' ? 'ft2' : 'm2';
  const totalM2 = (start.pieces ?? 0) * start.pieceM2;
  const size = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  const field = (children: React.ReactNode) => <View className="min-w-[9rem] flex-1">{children}</View>;
  const shown = units === 'ft' ? convert(q.weather.faceC, 'C', 'F') : q.weather.faceC;
  return (
    <>
      <Result r={r} q={q} size={size} />
      <Panel
        title={r.overnight ? 'One round' : 'One day'}
        aside={r.overnight ? 'lifted on another day' : r.bestDay.rounds === 1 ? 'one round' : `${r.bestDay.rounds} rounds`}
        testID="lanes"
      >
        <Lanes
          day={r.bestDay}
          shared={q.crew.shared}
          says={`${many(r.bestDay.rounds, 'round')} of ${r.best.value}, ${many(r.perDay, 'piece')} in the day`}
        />
      </Panel>
      <Panel title="Change it" testID="round-steppers">
        <Toggle
          label="The same people lay and lift"
          value={q.crew.shared}
          onChange={(shared) => put({ crew: { ...q.crew, shared } })}
          testID="shared"
        />
        <View className="flex-row flex-wrap gap-3">
          {field(
            <NumberField
              label={q.crew.shared ? 'People' : 'Who lay'}
              value={q.crew.laying}
              step={1}
              decimals={0}
              check={people}
              onCommit={(v) => v !== null && put({ crew: { ...q.crew, laying: v, lifting: q.crew.shared ? v : q.crew.lifting } })}
              testID="laying"
            />,
          )}
          {q.crew.shared
            ? null
            : field(
                <NumberField
                  label="Who lift"
                  value={q.crew.lifting}
                  step={1}
                  decimals={0}
                  check={people}
                  onCommit={(v) => v !== null && put({ crew: { ...q.crew, lifting: v } })}
                  testID="lifting"
                />,
              )}
          {field(
            <NumberField
              label={equalPieces ? 'One piece' : 'One strip'}
              unit={units === 'ft' ? 'ft²' : 'm²'}
              value={roundForReading(convert(q.pieceM2, 'm2', unit))}
              step={units === 'ft' ? 1 : 0.1}
              check={(v) => (v <= 0 ? 'more than 0' : undefined)}
              onCommit={(v) => {
                if (v === null) return;
                const pieceM2 = convert(v, unit, 'm2');
                put({ pieceM2, pieces: equalPieces ? q.pieces : Math.max(1, Math.ceil(totalM2 / pieceM2 - 1e-9)) });
              }}
              testID="piece-size"
            />,
          )}
          {equalPieces
            ? field(
                <NumberField
                  label="How many"
                  value={q.pieces}
                  step={1}
                  decimals={0}
                  check={people}
                  onCommit={(v) => v !== null && put({ pieces: v })}
                />,
              )
            : null}
          {field(
            <NumberField
              label="It soaks"
              unit="min"
              value={Math.round(q.soakH * 60)}
              step={15}
              decimals={0}
              check={(v) => (v <= 0 ? 'more than 0' : undefined)}
              onCommit={(v) => v !== null && put({ soakH: v / 60 })}
              testID="soak"
            />,
          )}
          {field(
            <NumberField
              label="The face is at"
              unit={units === 'ft' ? '°F' : '°C'}
              value={Math.round(shown)}
              step={units === 'ft' ? 5 : 2}
              decimals={0}
              onCommit={(v) => v !== null && put({ weather: { ...q.weather, faceC: units === 'ft' ? convert(v, 'F', 'C') : v } })}
              testID="round-face"
            />,
          )}
        </View>
        <Toggle
          label="Covered with film"
          value={q.weather.covered}
          onChange={(covered) => put({ weather: { ...q.weather, covered } })}
          testID="covered"
        />
        <Toggle label="Sun on it" value={q.weather.sun} onChange={(sun) => put({ weather: { ...q.weather, sun } })} />
        <Toggle label="Wind on it" value={q.weather.wind} onChange={(wind) => put({ weather: { ...q.weather, wind } })} />
      </Panel>
      <Panel title="If it soaks longer" aside="labour, with the standing paid">
        {dwellRhythm(q.method.id, [q.soakH, q.soakH * 1.5, q.soakH * 2], q.pieceM2, q.crew, q.weather, settings).map((d) => (
          <Figure
            key={d.soakH}
            label={formatHours(d.soakH)}
            value={d.labourPerM2 === null ? 'not possible' : `${size(d.perDayM2)} a day`}
            note={d.labourPerM2 === null ? 'It dries first.' : `${d.atOnce} in a round, ${money(d.labourPerM2)} of labour for each m²`}
          />
        ))}
      </Panel>
    </>
  );
}

const people = (v: number): string | undefined => (v < 1 || !Number.isInteger(v) ? 'a whole number, at least 1' : undefined);

function Result({ r, q, size }: { readonly r: Rounds; readonly q: RoundQuestion; readonly size: (m2: number) => string }) {
  const k = r.best.value;
  return (
    <Panel
      title={k === 0 ? 'Nothing can be laid like this' : `${k} in a round`}
      aside={k === 0 ? '' : size(k * q.pieceM2)}
      testID="rounds-answer"
    >
      <AnswerRow
        label={
          k === 0 ? 'It dries first' : r.largest >= 400 ? 'No round is too large' : `At most ${r.largest}, ${size(r.largest * q.pieceM2)}`
        }
        value={r.limitedBy === 'rinse' ? 'the rinse limits' : r.limitedBy === 'life' ? 'drying limits' : 'the day limits'}
        of="how much at once"
        because={r.best.because}
      />
      {k > 0 ? (
        <View className="flex-row flex-wrap gap-1">
          <View className="min-w-[9rem] flex-1">
            <Figure label="In a day" value={`${r.perDay}, ${size(r.perDayM2)}`} />
          </View>
          <View className="min-w-[9rem] flex-1">
            <Figure label="Going at once" value={String(r.goingAtOnce)} />
          </View>
          <View className="min-w-[9rem] flex-1">
            <Figure label="Standing" value={r.overnight ? 'none: other work' : `${Math.round(r.idleMinPerDay)} min a day`} />
          </View>
          {r.daysForAll === null ? null : (
            <View className="min-w-[9rem] flex-1">
              <Figure label={`All ${q.pieces}`} value={`${r.daysForAll} ${r.daysForAll === 1 ? 'day' : 'days'}`} />
            </View>
          )}
        </View>
      ) : null}
      {r.tooMany && k > 0 ? (
        <Words look="note">{`Played through piece by piece: with ${r.largest + 1}, piece ${r.tooMany.piece + 1} ${r.tooMany.why === 'dried' ? 'dries before it is lifted' : 'waits too long for its rinse'}.`}</Words>
      ) : null}
    </Panel>
  );
}
