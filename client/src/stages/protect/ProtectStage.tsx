/** Containment, air, equipment, waste and signs, each number with its reason. */
import { View } from 'react-native';
import { formatMeasure, measure, say } from '@roughsill/core';
import { Figure, Panel, useUnits, Why, Words } from '../../kit';
import type { StageProps } from '../SurfaceScreen';

const OPENINGS = { closeAndSeal: 'close and seal the room', closeNear: 'close those nearby', none: 'as usual' } as const;

export function ProtectStage({ plan }: StageProps) {
  const units = useUnits();
  const p = plan.protection;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  return (
    <>
      <Panel title={p.needed.value ? 'Lead work: contain it' : 'Ordinary care'}>
        <Why of="protection" because={p.needed.because} />
      </Panel>
      {p.sheetLaidM2.value > 0 ? (
        <Panel title="The area">
          <Figure label={plan.protection.openings.value === 'closeNear' ? 'Ground sheet, laid' : 'Floor sheet, laid'} value={area(p.sheetLaidM2.value)} note={`${area(p.sheetBoughtM2)} to buy, with laps and turn-ups; ${formatMeasure(measure(p.beyondM, 'm'), units)} beyond the work`}>
            <Why of="the sheet" because={p.sheetLaidM2.because} />
          </Figure>
          <Figure label="Upright screen" value={p.verticalScreen.value ? 'yes' : 'no'}>
            <Why of="the screen" because={p.verticalScreen.because} />
          </Figure>
          <Figure label="Doors and windows" value={OPENINGS[p.openings.value]}>
            <Why of="doors and windows" because={p.openings.because} />
          </Figure>
          <Figure label="Waste bags" value={String(p.bags.value)} note="6 mil, gooseneck and tape; nothing leaves the area unbagged">
            <Why of="the bags" because={p.bags.because} />
          </Figure>
        </Panel>
      ) : null}
      <Panel title="Breathing">
        <Figure label="Exposure" value={p.exposure.value === 'none' ? 'no lead in the air is presumed' : say(p.exposure.value)}>
          <Why of="the exposure" because={p.exposure.because} />
        </Figure>
        <Figure label={p.respirator.value ? say(p.respirator.value) : 'No respirator called for by lead'} value={p.vapourFilter ? 'with vapour cartridges' : ''} note={p.respirator.value ? 'Fit tested, clean shaven at the seal, seal checked each time' : undefined}>
          <Why of="the respirator" because={p.respirator.because} />
        </Figure>
      </Panel>
      <Panel title="Also on the list">
        <View className="gap-1">
          {p.kit.map((k) => (
            <Figure key={k.value} label={say(k.value).charAt(0).toUpperCase() + say(k.value).slice(1)} value="">
              <Why of={say(k.value)} because={k.because} />
            </Figure>
          ))}
          {p.kit.length === 0 ? <Words>Nothing is disturbed: no equipment beyond the usual.</Words> : null}
        </View>
      </Panel>
      {p.sign.value.length > 0 ? (
        <Panel title="Sign">
          <View role="img" aria-label={`Sign: ${p.sign.value.join('. ')}`} className="items-center gap-1 border-4 border-soot bg-[#f9f9f7] p-4">
            {p.sign.value.map((line, i) => (
              <Words key={line} look={i === 0 ? 'head' : 'strong'} className={`text-center text-[#21201c] ${i === 0 ? 'self-stretch bg-[#8e2f20] px-3 py-1 text-[#f9f9f7]' : ''}`}>
                {line}
              </Words>
            ))}
          </View>
          <Why of="the sign" because={p.sign.because} />
        </Panel>
      ) : null}
    </>
  );
}
