/** What is wrong with the ground: one tap on the drawn face puts it where it is; what is done about it stands beside it. */
import { useState } from 'react';
import { Pressable, View, type LayoutChangeEvent } from 'react-native';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import {
  BLANK_DEFECT,
  convert,
  DEFECT,
  DEFECTS,
  defectSize,
  ELEMENTS,
  FINISHES,
  FINISH,
  finishOf,
  formatMeasure,
  formatRange,
  formatWork,
  groundOf,
  liveDefects,
  measure,
  repairsFor,
  roundForReading,
  say,
  UNITS,
  YES_NO,
  type Defect,
  type DefectKind,
  type FinishId,
  type JobFacts,
  type Problem,
  type Repair,
  type RepairId,
  type Surface,
  type SurfacePlan,
} from '@roughsill/core';
import { sentence } from '@roughsill/core/words';
import { Button, Empty, LengthField, NumberField, Panel, Pick, Problems, Select, TextField, Toggle, useUnits, Words } from '../../kit';
import { cap } from '../../kit/text';
import { Why } from '../../kit/Why';
import { add, commit, remove, set, useAppDispatch } from '../../store';
import { Photos } from '../photos/Photos';

const INK = 'rgb(var(--soot))';
const today = (): string => new Date().toISOString().slice(0, 10);

interface DefectsProps {
  readonly facts: JobFacts;
  readonly surface: Surface;
  readonly plan: SurfacePlan;
}

/** Along and up, m. One of several pieces stands for all. */
const faceOf = (s: Surface): { readonly alongM: number; readonly upM: number } => {
  const [first] = ELEMENTS[s.element].sides;
  return first === 'height' ? { alongM: s.widthM, upM: s.lengthM } : { alongM: s.lengthM, upM: s.widthM };
};

const BOX = { most: 300, least: 72, narrow: 120 };

/** The face flat, with what was found on it; a tap tells where the next is. */
function FaceDrawing({
  surface,
  defects,
  onTap,
  says,
}: {
  readonly surface: Surface;
  readonly defects: readonly Defect[];
  readonly onTap: (alongM: number | null, upM: number | null) => void;
  readonly says: string;
}) {
  const units = useUnits();
  const [full, setFull] = useState(320);
  const { alongM, upM } = faceOf(surface);
  // True to its sides; what is tall is drawn narrow.
  const height = Math.min(BOX.most, Math.max(BOX.least, (full * upM) / alongM));
  const width = Math.max(BOX.narrow, Math.min(full, (height * alongM) / upM));
  return (
    <View className="gap-1" onLayout={(e: LayoutChangeEvent) => setFull(Math.max(BOX.narrow, Math.round(e.nativeEvent.layout.width)))}>
      <Pressable
        role="button"
        aria-label={says}
        testID="face-drawing"
        onPress={(e) => {
          const { clientX, clientY } = e.nativeEvent as unknown as MouseEvent;
          const box = (e.currentTarget as unknown as HTMLElement).getBoundingClientRect();
          // A key has no place: it is recorded without one.
          if (clientX === 0 && clientY === 0) onTap(null, null);
          else onTap(((clientX - box.left) / box.width) * alongM, (1 - (clientY - box.top) / box.height) * upM);
        }}
        className="border-2 border-soot bg-panel"
        style={{ height, width }}
      >
        <Svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`} aria-hidden>
          <Rect x={0} y={0} width={width} height={height} fill="rgb(var(--shelf))" />
          {[0.25, 0.5, 0.75].map((x) => (
            <Line key={x} x1={x * width} y1={0} x2={x * width} y2={height} stroke="rgb(var(--line))" strokeWidth={1} />
          ))}
          {defects.map((x, i) => {
            if (x.alongM === null || x.upM === null) return null;
            const [cx, cy] = [(x.alongM / alongM) * width, height - (x.upM / upM) * height];
            return (
              <Svg key={x.id}>
                {DEFECT[x.kind].extent === 'length' ? (
                  <Path d={`M${cx - 22} ${cy + 5}l9 -8l9 7l9 -9l9 8l8 -6`} stroke={INK} strokeWidth={2.5} fill="none" />
                ) : DEFECT[x.kind].extent === 'area' ? (
                  <Circle cx={cx} cy={cy} r={15} fill="none" stroke={INK} strokeWidth={2.5} strokeDasharray="5 3" />
                ) : null}
                <Circle cx={cx} cy={cy} r={10} fill={INK} />
                <SvgText x={cx} y={cy + 4.5} fontSize={12} fontWeight="bold" textAnchor="middle" fill="rgb(var(--onsoot))">
                  {i + 1}
                </SvgText>
              </Svg>
            );
          })}
        </Svg>
      </Pressable>
      <Words look="note">{`${formatMeasure(measure(alongM, 'm'), units)} along, ${formatMeasure(measure(upM, 'm'), units)} up${surface.count > 1 ? `; one of ${surface.count} stands for all` : ''}.`}</Words>
    </View>
  );
}

export function Defects({ facts, surface, plan }: DefectsProps) {
  const dispatch = useAppDispatch();
  const [kind, setKind] = useState<DefectKind | null>(null);
  const [opened, setOpened] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const defects = liveDefects(surface);
  const kinds = DEFECTS.filter((k) => DEFECT[k].on.includes(groundOf(surface)));
  const begun = plan.work.steps.some((st) => !st.shared && st.gates.some((g) => g.state === 'passed'));
  const put = (alongM: number | null, upM: number | null) => {
    if (kind === null) return;
    const draft = add('defect', { ...BLANK_DEFECT, kind, alongM, upM, asFound: !begun, seenOn: today() }, surface.id);
    setProblems(dispatch(commit(facts.job.id, [draft], `${say(kind)} recorded`)));
    setOpened(draft.entityId);
  };
  return (
    <Panel title="Damage to the ground" aside={String(defects.length)} testID="defects">
      <Select<DefectKind | ''>
        label="What is it"
        value={kind ?? ''}
        testID="defect-kind"
        options={[{ value: '', label: 'choose, then tap the face' }, ...kinds.map((value) => ({ value, label: say(value) }))]}
        onChange={(v) => setKind(v === '' ? null : v)}
      />
      <FaceDrawing
        surface={surface}
        defects={defects}
        onTap={put}
        says={kind === null ? 'The face, drawn flat. Choose what it is first.' : `Tap where the ${say(kind)} is`}
      />
      {kind === null && defects.length === 0 ? (
        <Empty says="Holes, cracks, rot, old silicone, damage of an earlier treatment: choose one and tap where it is. Without any, small filling is planned." />
      ) : null}
      <Problems problems={problems} />
      {defects.map((x, i) => (
        <DefectRow
          key={x.id}
          n={i + 1}
          x={x}
          repair={plan.repairs.find((r) => r.defect.id === x.id)}
          open={opened === x.id}
          onOpen={() => setOpened(opened === x.id ? null : x.id)}
          facts={facts}
          surface={surface}
        />
      ))}
    </Panel>
  );
}

interface RowProps {
  readonly n: number;
  readonly x: Defect;
  readonly repair: Repair | undefined;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly facts: JobFacts;
  readonly surface: Surface;
}

function DefectRow({ n, x, repair, open, onOpen, facts, surface }: RowProps) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const write = (fields: Partial<Defect>, what: string) =>
    setProblems(dispatch(commit(facts.job.id, [set('defect', x.id, fields, surface.id)], what)));
  const spec = DEFECT[x.kind];
  const area = units === 'ft' ? 'ft2' : 'm2';
  const deep = units === 'ft' ? 'inDeep' : 'mm';
  const value = repair?.repair.value ?? 'ask';
  const does = `${cap(say(`repair.${value}`))}${repair && repair.layers > 1 ? `, ${repair.layers} layers` : ''}${repair && repair.handsOnH.high > 0 ? `, ${formatRange(repair.handsOnH, formatWork)}` : ''}`;
  return (
    <View
      role="group"
      aria-label={`${n}, ${say(x.kind)}`}
      className={`border-l-4 bg-panel ${open ? 'gap-2 border-soot p-3' : 'border-line'}`}
    >
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={onOpen}
        testID={`defect-${n}`}
        className="min-h-touch justify-center px-3 py-1"
      >
        <Words look="strong">{`${n}. ${cap(say(x.kind))}, ${repair?.measured ? formatMeasure(defectSize(repair), units) : 'not measured'}`}</Words>
        <Words look="note">{does}</Words>
      </Pressable>
      {open ? (
        <>
          {spec.extent === 'area' ? (
            <NumberField
              label="How large"
              unit={UNITS[area].label}
              optional
              decimals={2}
              value={x.areaM2 === null ? null : roundForReading(convert(x.areaM2, 'm2', area))}
              testID="defect-area"
              check={(v) => (v <= 0 ? 'More than 0.' : undefined)}
              onCommit={(v) => write({ areaM2: v === null ? null : convert(v, area, 'm2') }, 'damage measured')}
            />
          ) : spec.extent === 'length' ? (
            <LengthField
              label="How long"
              value={x.lengthM}
              optional
              testID="defect-length"
              onCommit={(m) => write({ lengthM: m }, 'damage measured')}
            />
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            {spec.depth ? (
              <View className="min-w-[9rem] flex-1">
                <NumberField
                  label="How deep"
                  unit={UNITS[deep].label}
                  optional
                  decimals={2}
                  value={x.depthMm === null ? null : roundForReading(convert(x.depthMm, 'mm', deep))}
                  testID="defect-depth"
                  check={(v) => (v <= 0 ? 'More than 0.' : undefined)}
                  onCommit={(v) => write({ depthMm: v === null ? null : convert(v, deep, 'mm') }, 'depth')}
                />
              </View>
            ) : null}
            <View className="min-w-[9rem] flex-1">
              <NumberField
                label="How many like it"
                value={x.pieces}
                step={1}
                decimals={0}
                check={(v) => (v < 1 || v > 999 ? 'From 1 to 999.' : undefined)}
                onCommit={(v) => v !== null && write({ pieces: v }, 'how many')}
              />
            </View>
          </View>
          {x.kind === 'crack' ? (
            <Pick
              label="Does it still move"
              value={x.moving}
              options={YES_NO.map((v) => ({ value: v, label: say(v) }))}
              onChange={(moving) => write({ moving }, 'moving')}
            />
          ) : null}
          <Select<RepairId | ''>
            label="What is done"
            value={x.repair ?? ''}
            testID="defect-repair"
            options={[
              { value: '', label: x.repair === null ? `as proposed: ${say(`repair.${value}`)}` : 'as proposed' },
              ...repairsFor(x.kind, surface).map((r) => ({ value: r, label: say(`repair.${r}`) })),
            ]}
            onChange={(v) => write({ repair: v === '' ? null : v }, 'repair chosen')}
          />
          {repair ? (
            <>
              {repair.repair.because
                .filter((r) => r.effect !== 'note')
                .map((r) => (
                  <Words key={r.rule} look="note">
                    {sentence(r, units)}
                  </Words>
                ))}
              <Why of={does} because={repair.repair.because} />
            </>
          ) : null}
          <Toggle
            label="There before the first stroke"
            hint="It stands in the offer as found"
            value={x.asFound}
            onChange={(asFound) => write({ asFound }, 'as found')}
          />
          <TextField label="Note" value={x.note} onCommit={(note) => write({ note }, 'note')} />
          <Problems problems={problems} />
          <Photos facts={facts} of={{ ofSurfaceId: surface.id, ofDefectId: x.id }} title="Photographs of it" />
          <Button
            look="stop"
            label="Remove"
            says={`Remove ${n}, ${say(x.kind)}`}
            onPress={() => dispatch(commit(facts.job.id, [remove('defect', x.id, surface.id)], `${say(x.kind)} removed`))}
            className="self-start"
          />
        </>
      ) : null}
    </View>
  );
}

/** How good it has to look, and how that is judged. */
export function Finish({ facts, surface }: Pick<DefectsProps, 'facts' | 'surface'>) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const id = finishOf(surface);
  const spec = FINISH[id];
  return (
    <View className="gap-1">
      <Pick<FinishId>
        label="How good it has to look"
        value={id}
        options={FINISHES.map((value) => ({ value, label: say(value) }))}
        onChange={(finish) => dispatch(commit(facts.job.id, [set('surface', surface.id, { finish })], `${surface.name}: ${say(finish)}`))}
        testID="finish"
      />
      <Words look="note">{`Looked at in ${say(spec.light)} from ${formatMeasure(spec.from[facts.job.rulebook], units)}; dents up to ${formatMeasure(measure(spec.staysMm, 'mm'), units)} may stay${spec.extraCoats > 0 ? '; one coat more, rubbed level' : ''}${spec.asks ? '; nothing is filled or taken away without asking' : ''}.${surface.finish === null ? ' Nobody said: tidy is planned.' : ''}`}</Words>
    </View>
  );
}
