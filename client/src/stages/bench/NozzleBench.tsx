/** Air, pressure and media of a blasting nozzle. */
import { formatMeasure, formatWeight, measure } from '@roughsill/core';
import { amounts, MEDIA, MEDIA_IDS, nozzle, NOZZLES_IN, TIMBER_PSI, type MediaId, type NozzleJob } from '@roughsill/core/prepare';
import { Panel, Pick, Select, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { Amount, Cell, Measured, Row, Told } from './parts';

/** 3/8 in, 15 m of 32 mm hose, a machine of 185 cfm. */
const A_JOB: NozzleJob = {
  boreIn: 0.375,
  wornIn: 0,
  gaugePsi: 40,
  hoseM: 15.24,
  hoseBoreMm: 32,
  altitudeM: 0,
  machineM3H: 314.3,
  media: 'nutShell',
  hours: 4,
};
const MEDIA_WORDS: Readonly<Record<MediaId, string>> = {
  soda: 'soda',
  cob: 'corn cob',
  nutShell: 'nut shell',
  sponge: 'sponge',
  garnet: 'garnet',
};
const BORES = NOZZLES_IN.map((b) => ({ value: String(b), label: formatMeasure(measure(b, 'in'), 'ft') }));

export function NozzleBench() {
  const units = useUnits();
  const [it, put] = useKept<NozzleJob>('bench-nozzle', A_JOB);
  const set = (over: Partial<NozzleJob>) => put({ ...it, ...over });
  const a = amounts(units);
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
      </Row>
      <Pick
        label="Grit"
        value={it.media}
        options={MEDIA_IDS.map((value) => ({ value, label: MEDIA_WORDS[value] }))}
        onChange={(media) => set({ media })}
      />
      <Told
        testID="nozzle-answer"
        of={() => {
          const n = nozzle(it);
          const flow = (m3h: number) => formatMeasure(measure(Math.round(m3h), 'm3/h'), units);
          const psi = (v: number) => formatMeasure(measure(Number(v.toPrecision(2)), 'psi'), units);
          const short = n.machineM3H !== null && n.machineM3H < n.freeM3H;
          return [
            `${flow(n.freeM3H)} of free air, give or take ${flow(n.doubtM3H)}; ${psi(n.nozzlePsi)} at the nozzle, ${psi(n.hoseLossPsi)} lost in the hose.`,
            n.machineM3H === null
              ? 'Hold it against the label of the compressor.'
              : short
                ? `The compressor brings ${flow(n.machineM3H)} here: ${n.feedsIn === null ? 'it feeds no nozzle of these' : `at most a nozzle of ${formatMeasure(measure(n.feedsIn, 'in'), 'ft')}`} at this pressure.`
                : `The compressor brings ${flow(n.machineM3H)} here: enough.`,
            `${formatWeight(n.mediaKgH, units)} of grit an hour, ${formatWeight(n.mediaKg, units)} in all, ${a.L(n.mediaL)} to sweep up${MEDIA[it.media].sieved ? '; sieved, some of it may be used again where no lead is in it' : ''}.`,
          ];
        }}
      />
      <Words look="note">
        {`Choked flow held to the widely copied table of nozzles (0.81 of theory, within 6 %); hose by Darcy and Weisbach. For timber two schools: ${formatMeasure(measure(TIMBER_PSI.gentle.low, 'psi'), units)} to ${formatMeasure(measure(TIMBER_PSI.gentle.high, 'psi'), units)}, and up to ${formatMeasure(measure(TIMBER_PSI.brisk.high, 'psi'), units)}: the gentle one is the default, for early wood does not grow back. Never on historic masonry. Before a valve is cleared: compressor off, hose empty, dead-man handle tied to nobody.`}
      </Words>
    </Panel>
  );
}
