/** The XRF instrument's checks: calibration on its film, and what bare material adds. */
import { useState } from 'react';
import { View } from 'react-native';
import { MATERIALS, say, substrateCorrection, type InstrumentCheck, type JobFacts, type Material } from '@roughsill/core';
import { loadingOfFilm } from '@roughsill/core/survey';
import { Button, Empty, Figure, NumberField, Panel, Select, TextField, useWhen, Words } from '../../kit';
import { add, api, commit, useAppDispatch } from '../../store';
import { JobPage } from '../JobPage';
import { useInstruments } from './InstrumentPanel';

export const InstrumentsScreen = () => (
  <JobPage title="Instruments" hint="An XRF that was not checked within four hours may find lead, but clears nothing.">
    {(facts) => <Instruments facts={facts} />}
  </JobPage>
);

function Instruments({ facts }: { readonly facts: JobFacts }) {
  const dispatch = useAppDispatch();
  const { list, says } = useInstruments();
  const when = useWhen();
  const [device, setDevice] = useState('Simulated XRF');
  const [film, setFilm] = useState<number | null>(1.02);
  const [tolerance, setTolerance] = useState<number | null>(0.1);
  const [values, setValues] = useState('');
  const [material, setMaterial] = useState<Material | ''>('');
  const [problem, setProblem] = useState<string>();
  const readings = values
    .split(/[\s;]+/)
    .filter(Boolean)
    .map((v) => Number(v.replace(',', '.')));
  const save = () => {
    if (readings.some(Number.isNaN)) return setProblem('Readings are numbers, with a space between.');
    if (film === null || tolerance === null) return setProblem('Give the film and its tolerance, from the instrument’s sheet.');
    const what = material === '' ? 'calibration' : 'substrate';
    const fields = {
      device,
      what,
      material: material === '' ? null : material,
      values: readings,
      filmMgCm2: film,
      tolerance,
      takenAt: new Date().toISOString(),
      note: '',
    };
    const found = dispatch(commit(facts.job.id, [add('instrumentCheck', fields)], null));
    setProblem(found[0]?.message);
    if (found.length === 0) setValues('');
  };
  const readFilm = async () => {
    const xrf = list.find((i) => i.checks);
    if (!xrf) return;
    const r = await api.checkInstrument(xrf.id, material === '' ? null : material);
    if (!r.ok) return setProblem(r.error.says);
    setDevice(xrf.name);
    setValues(r.value.values.join(' '));
    setFilm(r.value.filmMgCm2);
    setTolerance(r.value.tolerance);
  };
  const checks = [...facts.instrumentChecks].sort((a, b) => (a.takenAt < b.takenAt ? 1 : -1));
  return (
    <>
      <Panel title="Record a check" testID="instrument-check">
        <TextField label="Instrument" value={device} onChange={setDevice} onCommit={setDevice} />
        <Select
          label="Read on"
          value={material}
          options={[
            { value: '', label: 'the calibration film alone' },
            ...MATERIALS.map((m) => ({ value: m, label: `film on bare ${say(m)}` })),
          ]}
          onChange={setMaterial}
        />
        <TextField
          label="Readings, mg/cm²"
          hint={material === '' ? 'Three at the start, at least every four hours, and at the end' : 'Six: three in each of two places'}
          value={values}
          onChange={setValues}
          onCommit={setValues}
          problem={problem}
          testID="check-values"
        />
        <View className="flex-row flex-wrap gap-3">
          <View className="min-w-[9rem] flex-1">
            <NumberField label="Film" unit="mg/cm²" value={film} optional onCommit={setFilm} />
          </View>
          <View className="min-w-[9rem] flex-1">
            <NumberField label="May differ by" unit="mg/cm²" value={tolerance} optional onCommit={setTolerance} />
          </View>
        </View>
        <View className="flex-row flex-wrap gap-2">
          <Button look="main" label="Record it" onPress={save} testID="save-check" />
          {list.some((i) => i.checks) ? (
            <Button label="Read with the simulated XRF" onPress={() => void readFilm()} testID="read-film" />
          ) : null}
        </View>
        {says ? <Words look="note">{says}</Words> : null}
      </Panel>
      <Panel title="Checks" aside={String(checks.length)}>
        {checks.length === 0 ? <Empty says="No check yet." /> : null}
        {checks.map((k) => (
          <CheckLine key={k.id} check={k} when={when(k.takenAt)} />
        ))}
      </Panel>
      <FilmPanel />
      <Panel title="Within reach" aside="simulated instruments say so">
        {list.map((i) => (
          <View key={i.id} className="bg-panel px-3 py-2">
            <Words look="row">{i.name}</Words>
            <Words look="note">{i.sheet}</Words>
          </View>
        ))}
      </Panel>
    </>
  );
}

/** Mass and loading are two measures; only the film's own data joins them. */
function FilmPanel() {
  const [ppm, setPpm] = useState<number | null>(5000);
  const [density, setDensity] = useState<number | null>(1.5);
  const [um, setUm] = useState<number | null>(250);
  const loading = ppm !== null && density !== null && um !== null ? loadingOfFilm(ppm, density, um * 1e-6) : null;
  return (
    <Panel title="From ppm to mg/cm²" aside="needs the film’s own data">
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[8rem] flex-1">
          <NumberField label="Lead" unit="ppm" value={ppm} optional decimals={0} onCommit={setPpm} />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField label="Density, dry" unit="g/cm³" value={density} optional onCommit={setDensity} />
        </View>
        <View className="min-w-[8rem] flex-1">
          <NumberField label="All coats, thick" unit="µm" value={um} optional decimals={0} onCommit={setUm} />
        </View>
      </View>
      {loading === null ? null : (
        <Figure
          label="Loading"
          value={`${loading.toFixed(3)} mg/cm²`}
          note="A result below one limit may stand above the other: either one makes it lead paint"
        />
      )}
    </Panel>
  );
}

function CheckLine({ check: k, when }: { readonly check: InstrumentCheck; readonly when: string }) {
  const off = substrateCorrection(k.values, k.filmMgCm2);
  const holds = Math.abs(off) <= k.tolerance + 1e-9;
  const says =
    k.what === 'substrate'
      ? `bare ${say(k.material ?? '')} adds ${off.toFixed(2)} mg/cm²`
      : holds
        ? 'holds'
        : 'fails: readings beside it clear nothing';
  return (
    <View className={`border-l-4 bg-panel px-3 py-2 ${k.what === 'calibration' && !holds ? 'border-oxide' : 'border-verdigris'}`}>
      <Words look="row">{`${k.device}: ${says}`}</Words>
      <Words look="note">{`${k.values.join(', ')} on ${k.filmMgCm2} mg/cm² · ${when} · ${k.by}`}</Words>
    </View>
  );
}
