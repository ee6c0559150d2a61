/** A logger's week laid over what was reckoned, and kept in sum: by it the cause is judged cured. */
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { JobFacts, MoistureFacts, Space } from '@roughsill/core';
import { readLogger } from '@roughsill/core/import';
import { laidOver, loggedSays, type Climate, type Logger } from '@roughsill/core/moist';
import { FilePick, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import { readPicked } from './table-file';
import { WeekChart } from './WeekChart';

export function LoggerWeek({
  facts,
  space,
  moisture,
  climate,
  onSet,
}: {
  readonly facts: JobFacts;
  readonly space: Space;
  readonly moisture: MoistureFacts;
  readonly climate: Climate;
  readonly onSet: (fields: Partial<MoistureFacts>, what: string) => void;
}) {
  const units = useUnits();
  const [logger, setLogger] = useState<Logger | null>(null);
  const [problem, setProblem] = useState<string>();
  const over = useMemo(
    () => (logger === null ? null : laidOver(moisture, space, climate, logger, facts.job.rulebook)),
    [logger, moisture, space, climate, facts.job.rulebook],
  );
  const open = async (file: File) => {
    const read = await readPicked(file, (table) => readLogger(table, space.name));
    if (!read.ok) return setProblem(read.says);
    setProblem(undefined);
    setLogger(read.value);
    const { logged, verdict } = laidOver(moisture, space, climate, read.value, facts.job.rulebook);
    // What hung elsewhere says nothing of this room, and is not kept.
    if (verdict.value !== 'elsewhere') onSet({ logged }, 'logger');
  };
  const kept = moisture.logged;
  return (
    <View className="gap-2" testID="logger">
      <FilePick
        label="Lay a logger’s week over it, CSV"
        accept=".csv,.txt,text/csv"
        testID="logger-file"
        onFiles={([file]) => file && void open(file)}
      />
      {problem ? (
        <Words alert look="strong" tone="oxide">
          {problem}
        </Words>
      ) : null}
      {kept ? <Words look="note">{loggedSays(kept, units)}</Words> : null}
      {kept?.faceRhPct === null ? (
        <Words look="note">Import the hourly climate of those days above, then the logger again: only then is the face known.</Words>
      ) : null}
      {over && logger ? (
        <>
          <AnswerRow
            label="Against what was reckoned"
            value={{ fits: 'it fits', wetter: 'wetter', drier: 'drier', elsewhere: 'another place' }[over.verdict.value]}
            of="the logger’s week"
            because={over.verdict.because}
            note={[
              `shows about ${Math.round(over.shownGPerDay / 10) * 10} g of water a day at the air changes entered`,
              ...(over.shownAch === null ? [] : [`humidity fell by itself at ${over.shownAch.toFixed(1)} air changes/h`]),
              ...(climate.simulated ? ['the weather outdoors is simulated: only means are compared'] : []),
            ].join('; ')}
          />
          <WeekChart logged={logger.rhPct} reckoned={over.reckonedRhPct} />
        </>
      ) : null}
    </View>
  );
}
