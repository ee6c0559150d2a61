/** What must not meet: tick what is there, and read what would come of it and what separates it. */
import { View } from 'react-native';
import { formatMeasure, measure, withCommas } from '@roughsill/core';
import { AGENT_IDS, benchWords, CHLORINE_PPM, gasOf, meetingsAmong, type AgentId, type Language } from '@roughsill/core/prepare';
import { Empty, Panel, Ticks, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { cap } from '../../kit/text';
import { Amount, Measured, Row } from './parts';

interface Kept {
  readonly agents: readonly AgentId[];
  readonly bleachL: number;
  readonly metalG: number;
  readonly roomM3: number;
}
export function MeetBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [it, put] = useKept<Kept>('bench-meet', { agents: ['bleach', 'acid'], bleachL: 1, metalG: 10, roomM3: 30 });
  const set = (over: Partial<Kept>) => put({ ...it, ...over });
  const words = benchWords(language);
  const gasText = (litres: number) => formatMeasure(units === 'ft' ? measure(litres / 1000, 'm3') : measure(litres, 'L'), units);
  const found = meetingsAmong(it.agents);
  return (
    <Panel title="What must not meet" aside="on a face, in a pail, in a bin" testID="meet-bench">
      <Ticks
        label={language === 'es' ? 'Hay' : 'There is'}
        values={it.agents}
        options={AGENT_IDS.map((value) => ({ value, label: words.agent[value] }))}
        onChange={(agents) => set({ agents })}
      />
      <Row>
        {found.some((m) => m.gas === 'perLitreOfBleach') ? (
          <Measured
            label="Of bleach"
            unit="L"
            value={it.bleachL}
            check={(v) => (v > 0 ? undefined : 'It is more than 0.')}
            onCommit={(v) => v !== null && set({ bleachL: v })}
          />
        ) : null}
        {found.some((m) => m.gas === 'perGramOfMetal') ? (
          <Amount
            label="Of metal eaten"
            unit="g"
            value={it.metalG}
            check={(v) => (v > 0 ? undefined : 'It is more than 0.')}
            onCommit={(v) => v !== null && set({ metalG: v })}
          />
        ) : null}
        <Measured
          label="The room"
          unit="m3"
          value={it.roomM3}
          check={(v) => (v > 0 ? undefined : 'It is more than 0.')}
          onCommit={(v) => v !== null && set({ roomM3: v })}
          testID="meet-room"
        />
      </Row>
      <View testID="meet-answer" role="status" className="gap-3">
        {found.length === 0 ? (
          <Empty
            says={
              it.agents.length < 2
                ? 'Tick two or more.'
                : 'The table knows of nothing between these. It does not know every product: read both sheets.'
            }
          />
        ) : null}
        {found.map((m) => {
          const gas = gasOf(m, m.gas === 'perLitreOfBleach' ? it.bleachL : it.metalG, it.roomM3);
          return (
            <View key={`${m.one}${m.other}`} className={`gap-1 border-l-8 bg-panel px-3 py-2 ${m.hurts ? 'border-oxide' : 'border-ochre'}`}>
              <Words look="row">{`${cap(words.agent[m.one])} + ${words.agent[m.other]}`}</Words>
              <Words look="strong" tone={m.hurts ? 'oxide' : undefined}>{`${cap(words.forms[m.forms])}.`}</Words>
              {gas ? (
                <Words>
                  {m.gas === 'perLitreOfBleach'
                    ? `${gasText(gas.litres)} of gas: up to ${withCommas(Math.round(gas.ppm))} ppm in this room, and ${CHLORINE_PPM.danger} ppm are dangerous to life.`
                    : `${gasText(gas.litres)} of hydrogen: enough to make ${formatMeasure(measure(gas.spoilsM3, 'm3'), units)} of air burn.`}
                </Words>
              ) : null}
              <Words>{words.parted[m.parted]}</Words>
            </View>
          );
        })}
      </View>
      <Words look="note">
        Gas by stoichiometry, as if all of it reacted and nothing left the room. Met by mistake: out, air in, call; do not go back for the
        pail.
      </Words>
    </Panel>
  );
}
