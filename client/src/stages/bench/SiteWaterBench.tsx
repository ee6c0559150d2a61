/** Rinse water and where it goes; steam, its water, and the air that a room needs for it. */
import { convert } from '@roughsill/core';
import {
  amounts,
  benchWords,
  RINSE_HOLDS,
  rinseSays,
  rinseWaterFor,
  steamFor,
  steamSays,
  type Language,
  type RinseWater,
  type Steam,
} from '@roughsill/core/prepare';
import { Panel, Pick, useUnits, Words } from '../../kit';
import { useKept } from '../../kit/drafts';
import { Amount, Measured, Row, Told } from './parts';

/** Lead until somebody showed that there is none. */
const RINSE: RinseWater = { areaM2: 6, eachLM2: 4, rinses: 2, drumL: 120, holds: 'lead' };
const STEAM: Steam = { kw: 2, tankL: 5, waterC: 15, areaM2: 6, volumeM3: 30 };

export function SiteWaterBench({ language }: { readonly language: Language }) {
  const units = useUnits();
  const [rinse, putRinse] = useKept<RinseWater>('bench-rinse-water', RINSE);
  const [steam, putSteam] = useKept<Steam>('bench-steam', STEAM);
  const setRinse = (over: Partial<RinseWater>) => putRinse({ ...rinse, ...over });
  const setSteam = (over: Partial<Steam>) => putSteam({ ...steam, ...over });
  const a = amounts(units);
  // L/m2 in what is shown.
  const each = units === 'ft' ? convert(1, 'gal', 'L') / convert(100, 'ft2', 'm2') : 1;
  const { siteWater } = benchWords(language);
  return (
    <>
      <Panel title="Rinse water" aside="how much, and where it goes" testID="rinse-bench">
        <Row>
          <Measured
            label="Area"
            unit="m2"
            value={rinse.areaM2}
            onCommit={(v) => v !== null && setRinse({ areaM2: v })}
            testID="rinse-area"
          />
          <Amount
            label="Each rinse"
            unit={units === 'ft' ? 'gal for 100 ft²' : 'L/m²'}
            value={Math.round((rinse.eachLM2 / each) * 10) / 10}
            onCommit={(v) => v !== null && setRinse({ eachLM2: v * each })}
          />
          <Amount
            label="Rinses"
            decimals={0}
            value={rinse.rinses}
            onCommit={(v) => v !== null && setRinse({ rinses: v })}
            testID="rinse-times"
          />
          <Measured label="A drum holds" unit="L" value={rinse.drumL} onCommit={(v) => v !== null && setRinse({ drumL: v })} />
        </Row>
        <Pick
          label="What it takes with it"
          value={rinse.holds}
          options={RINSE_HOLDS.map((value) => ({ value, label: siteWater.holds[value] }))}
          onChange={(holds) => setRinse({ holds })}
          testID="rinse-holds"
        />
        <Told testID="rinse-answer" language={language} of={() => rinseSays(rinseWaterFor(rinse), rinse.holds, siteWater, a)} />
        <Words look="note">
          No sewer takes water below pH 5.0 (40 CFR 403.5); from 12.5 it is hazardous (40 CFR 261.22). Between 6 and 9 most works take it:
          from memory. The local works rule. What is unknown counts as lead.
        </Words>
      </Panel>
      <Panel title="Steam" aside="old wood, soft paint, texture" testID="steam-bench">
        <Row>
          <Amount label="Power" unit="kW" value={steam.kw} onCommit={(v) => v !== null && setSteam({ kw: v })} testID="steam-kw" />
          <Measured label="Its tank" unit="L" value={steam.tankL} onCommit={(v) => v !== null && setSteam({ tankL: v })} />
          <Measured label="Water as filled" unit="C" value={steam.waterC} onCommit={(v) => v !== null && setSteam({ waterC: v })} />
          <Measured
            label="Area"
            unit="m2"
            value={steam.areaM2}
            onCommit={(v) => v !== null && setSteam({ areaM2: v })}
            testID="steam-area"
          />
          <Measured
            label="Room"
            unit="m3"
            optional
            value={steam.volumeM3}
            onCommit={(volumeM3) => setSteam({ volumeM3 })}
            testID="steam-room"
          />
        </Row>
        <Told testID="steam-answer" language={language} of={() => steamSays(steamFor(steam), siteWater, a)} />
        <Words look="note">
          Heat to warm and boil water by IAPWS, nine tenths of the plug in it (from memory). The hours are those of the plan for flat work.
          No room entered: outdoors.
        </Words>
      </Panel>
    </>
  );
}
