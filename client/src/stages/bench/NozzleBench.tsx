/** Air, pressure and media of a blasting nozzle. */
import { View } from 'react-native';
import { formatMeasure, formatWeight, measure } from '@roughsill/core';
import {
  amounts,
  benchWords,
  MEDIA,
  MEDIA_IDS,
  nozzle,
  NOZZLES_IN,
  TIMBER_PSI,
  TIMBER_SCHOOLS,
  passesOver,
  passesSay,
  timberSays,
  type Language,
  type MediaId,
  type NozzleJob,
  type TimberSchool,
} from '@roughsill/core/prepare';
import { Panel, Pick, Select, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { useSettings } from '../../store';
import { Amount, Cell, Measured, Row, Told } from './parts';

interface Blasting extends NozzleJob {
  readonly fullM2: number;
  readonly sweepM2: number;
}
/** 3/8 in, 15 m of 32 mm hose, a machine of 185 cfm. */
const A_JOB: Blasting = {
  boreIn: 0.375,
  wornIn: 0,
  gaugePsi: 40,
  hoseM: 15.24,
  hoseBoreMm: 32,
  altitudeM: 0,
  machineM3H: 314.3,
  media: 'nutShell',
  timber: 'gentle',
  hours: 4,
  fullM2: 2,
  sweepM2: 10,
};
const MEDIA_WORDS: Readonly<Record<MediaId, string>> = {
  soda: 'soda',
  cob: 'corn cob',
  nutShell: 'nut shell',
  sponge: 'sponge',
  garnet: 'garnet',
};
const SCHOOL_WORDS: Readonly<Record<TimberSchool, string>> = { gentle: 'gently', brisk: 'briskly' };
const BORES = NOZZLES_IN.map((b) => ({ value: String(b), label: formatMeasure(measure(b, 'in'), 'ft') }));

export function NozzleBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const { timberBlast } = useSettings();
  const usual = { ...A_JOB, timber: timberBlast };
  const [kept, put] = useKept<Blasting>('bench-air', usual);
  // What an older form of it kept lacks a field.
  const it = { ...usual, ...kept };
  const set = (over: Partial<Blasting>) => put({ ...it, ...over });
  const a = amounts(units);
  const { blast } = benchWords(language);
  const psi = (v: number) => formatMeasure(measure(Number(v.toPrecision(2)), 'psi'), units);
  return (
    <Panel title="Blasting air" aside="trial first, soft grit only where it is allowed" testID="nozzle-bench">
      <Row>
        <Cell>
          <Select label="Nozzle, new" value={String(it.boreIn)} options={BORES} onChange={(b) => set({ boreIn: Number(b) })} />
        </Cell>
        <Amount
          label="Worn wider by"
          unit="in"
          decimals={3}
          value={it.wornIn}
          onCommit={(v) => v !== null && set({ wornIn: v })}
          testID="nozzle-worn"
        />
        <Measured
          label="Pressure at the machine"
          unit="psi"
          value={it.gaugePsi}
          onCommit={(v) => v !== null && set({ gaugePsi: v })}
          testID="nozzle-psi"
        />
        <Measured label="Hose" unit="m" value={it.hoseM} onCommit={(v) => v !== null && set({ hoseM: v })} />
        <Measured
          label="Bore of the hose"
          unit="mm"
          value={it.hoseBoreMm}
          onCommit={(v) => v !== null && set({ hoseBoreMm: v })}
          testID="nozzle-hose"
        />
        <Measured label="Above the sea" unit="m" value={it.altitudeM} onCommit={(v) => v !== null && set({ altitudeM: v })} />
        <Measured
          label="Compressor, by its label"
          unit="m3/h"
          optional
          value={it.machineM3H}
          onCommit={(machineM3H) => set({ machineM3H })}
          testID="nozzle-machine"
        />
        <Amount label="Blasting" unit="h" value={it.hours} onCommit={(v) => v !== null && set({ hours: v })} />
        <Measured
          label="Down to the ground"
          unit="m2"
          value={it.fullM2}
          onCommit={(v) => v !== null && set({ fullM2: v })}
          testID="nozzle-full"
        />
        <Measured label="Swept" unit="m2" value={it.sweepM2} onCommit={(v) => v !== null && set({ sweepM2: v })} testID="nozzle-sweep" />
      </Row>
      <Pick
        label="Grit"
        value={it.media}
        options={MEDIA_IDS.map((value) => ({ value, label: MEDIA_WORDS[value] }))}
        onChange={(media) => set({ media })}
      />
      <Pick<TimberSchool | 'other'>
        label="On"
        value={it.timber ?? 'other'}
        options={[
          ...TIMBER_SCHOOLS.map((value) => ({
            value,
            label: `wood, ${SCHOOL_WORDS[value]}: ${psi(TIMBER_PSI[value].low)} to ${psi(TIMBER_PSI[value].high)}`,
          })),
          { value: 'other', label: 'metal' },
        ]}
        onChange={(v) => set({ timber: v === 'other' ? null : v })}
        testID="nozzle-on"
      />
      <Told
        testID="nozzle-answer"
        of={() => {
          const n = nozzle(it);
          const flow = (m3h: number) => formatMeasure(measure(Math.round(m3h), 'm3/h'), units);
          const short = n.machineM3H !== null && n.machineM3H < n.freeM3H;
          return [
            `${flow(n.freeM3H)} of free air, give or take ${flow(n.doubtM3H)}; ${psi(n.nozzlePsi)} at the nozzle, ${psi(n.hoseLossPsi)} lost in the hose.`,
            n.machineM3H === null
              ? 'Hold it against the label of the compressor.'
              : short
                ? `The compressor brings ${flow(n.machineM3H)} here: ${n.feedsIn === null ? 'it feeds no nozzle of these' : `at most a nozzle of ${formatMeasure(measure(n.feedsIn, 'in'), 'ft')}`} at this pressure.`
                : `The compressor brings ${flow(n.machineM3H)} here: enough.`,
            ...timberSays(n, blast, a),
            ...passesSay(passesOver(it.media, n.mediaKgH, { full: it.fullM2, sweep: it.sweepM2 }), blast, a),
            `${formatWeight(n.mediaKgH, units)} of grit an hour, ${formatWeight(n.mediaKg, units)} in all, ${a.L(n.mediaL)} to sweep up${MEDIA[it.media].sieved ? '; sieved, some of it may be used again where no lead is in it' : ''}.`,
          ];
        }}
      />
      <View className="gap-1" testID="nozzle-lockout">
        {blast.lockout.map((line, i) => (
          <Words key={line}>{`${i + 1}. ${line}`}</Words>
        ))}
      </View>
      <Words look="note">
        {`Choked flow held to the widely copied table of nozzles (0.81 of theory, within 6 %); hose by Darcy and Weisbach. On wood the gentle school is the default, for early wood does not grow back; a job may need both a sweep and a blast to bare. Never on historic masonry.`}
      </Words>
    </Panel>
  );
}
