/** Reads a surface with an instrument on the network. The ones that ship are simulated, and say so; nothing is recorded until a person has looked. */
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { DECIDERS, say, type ReadingDraft, type Surface } from '@roughsill/core';
import { Button, NumberField, Panel, Pick, Select, TextField, Words } from '../../kit';
import { add, api, commit, useAppDispatch, useAppSelector, type InstrumentLine } from '../../store';

export function useInstruments(): { readonly list: readonly InstrumentLine[]; readonly says?: string } {
  const [state, setState] = useState<{ list: readonly InstrumentLine[]; says?: string }>({ list: [] });
  useEffect(() => {
    let gone = false;
    void api.instruments().then((r) => {
      if (!gone) setState(r.ok ? { list: r.value.instruments } : { list: [], says: `Instruments are out of reach. ${r.error.says}` });
    });
    return () => {
      gone = true;
    };
  }, []);
  return state;
}

export function InstrumentPanel({ jobId, surface }: { readonly jobId: string; readonly surface: Surface }) {
  const dispatch = useAppDispatch();
  const { list, says } = useInstruments();
  const unsent = useAppSelector((s) => s.outbox.waiting.length > 0);
  const [depth, setDepth] = useState<'face' | 'all'>('all');
  const [seconds, setSeconds] = useState(90);
  const [shown, setShown] = useState<{ name: string; says: string; reading: Omit<ReadingDraft, 'takenAt'> } | null>(null);
  const [problem, setProblem] = useState<string>();
  const [decidedBy, setDecidedBy] = useState<ReadingDraft['decidedBy']>('unsaid');
  const [certificate, setCertificate] = useState('');
  const read = async (i: InstrumentLine) => {
    setProblem(undefined);
    const r = await api.readInstrument(i.id, { jobId, surfaceId: surface.id, depth, seconds, setTo: surface.species });
    if (r.ok) setShown({ name: i.name, says: r.value.says, reading: r.value.reading });
    else setProblem(r.error.says);
  };
  const keep = () => {
    if (!shown) return;
    const by = shown.reading.kind === 'xrf' ? { decidedBy, certificate: certificate.trim() } : {};
    const found = dispatch(
      commit(jobId, [add('reading', { ...shown.reading, ...by, takenAt: new Date().toISOString() }, surface.id)], null),
    );
    if (found[0]) setProblem(found[0].message);
    else setShown(null);
  };
  return (
    <Panel title="Instruments" aside="simulated" testID="instruments">
      {says ? <Words look="note">{says}</Words> : null}
      <View className="flex-row flex-wrap gap-2">
        {list.map((i) => (
          <Button key={i.id} label={i.name} testID={`instrument-${i.id}`} onPress={() => void read(i)} />
        ))}
      </View>
      {unsent ? <Words look="note">Entries are still on their way: an instrument sees the surface as the server has it.</Words> : null}
      <View className="flex-row flex-wrap gap-3">
        <View className="min-w-[12rem] flex-1">
          <Pick
            label="The swab goes"
            value={depth}
            options={[
              { value: 'face', label: 'on the face' },
              { value: 'all', label: 'through all coats' },
            ]}
            onChange={setDepth}
          />
        </View>
        <View className="w-40">
          <NumberField
            label="Swab left for"
            unit="s"
            value={seconds}
            step={15}
            decimals={0}
            check={(v) => (v < 0 ? 'a time cannot be negative' : undefined)}
            onCommit={(v) => setSeconds(v ?? 0)}
          />
        </View>
      </View>
      {problem ? (
        <Words alert look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
      {shown ? (
        <View role="status" testID="instrument-says" className="gap-2 border-2 border-soot bg-panel p-3">
          <Words look="note">{shown.name}</Words>
          <Words look="head">{shown.says}</Words>
          {shown.reading.kind === 'xrf' ? (
            <View className="flex-row flex-wrap gap-3">
              <View className="min-w-[12rem] flex-1">
                <Select
                  label="Who decides by it"
                  value={decidedBy}
                  options={DECIDERS.map((value) => ({ value, label: say(value) }))}
                  onChange={setDecidedBy}
                  testID="instrument-decider"
                />
              </View>
              <View className="min-w-[10rem] flex-1">
                <TextField label="Their certificate" value={certificate} onChange={setCertificate} onCommit={setCertificate} />
              </View>
            </View>
          ) : null}
          <View className="flex-row flex-wrap gap-2">
            <Button look="main" label="Record it" testID="record-instrument" onPress={keep} />
            <Button label="Leave it" onPress={() => setShown(null)} />
          </View>
        </View>
      ) : null}
    </Panel>
  );
}
