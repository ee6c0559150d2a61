/** Containment, air, equipment, waste and signs, each number with its reason. */
import { View } from 'react-native';
import { formatMeasure, measure, say, withCartridges } from '@roughsill/core';
import { Panel, useUnits, Words } from '../../kit';
import { AnswerRow } from '../../kit/Why';
import type { StageProps } from '../props';

const OPENINGS = { closeAndSeal: 'close and seal the room', closeNear: 'close those nearby', none: 'as usual' } as const;

const CARE = {
  lead: { title: 'Lead work: contain it', label: 'A hazard is disturbed' },
  guard: { title: 'Asbestos is not ruled out: guard it', label: 'No stroke goes into it' },
  leaveAlone: { title: 'Leave it alone', label: 'Asbestos is not ruled out in it' },
  ordinary: { title: 'Ordinary care', label: 'No hazard is disturbed' },
} as const;

export function ProtectStage({ plan }: StageProps) {
  const units = useUnits();
  const p = plan.protection;
  const area = (m2: number) => formatMeasure(measure(m2, 'm2'), units);
  return (
    <>
      <Panel title={CARE[p.care].title}>
        <AnswerRow label={CARE[p.care].label} because={p.needed.because} />
      </Panel>
      {p.sheetLaidM2.value > 0 ? (
        <Panel title="The area">
          <AnswerRow
            label={plan.protection.openings.value === 'closeNear' ? 'Ground sheet, laid' : 'Floor sheet, laid'}
            value={area(p.sheetLaidM2.value)}
            note={`${area(p.sheetBoughtM2)} to buy, with laps and turn-ups; ${formatMeasure(measure(p.beyondM, 'm'), units)} beyond the work`}
            because={p.sheetLaidM2.because}
          />
          <AnswerRow label="Upright screen" value={p.verticalScreen.value ? 'yes' : 'no'} because={p.verticalScreen.because} />
          <AnswerRow label="Doors and windows" value={OPENINGS[p.openings.value]} because={p.openings.because} />
          <AnswerRow
            label="Waste bags"
            value={String(p.bags.value)}
            note="6 mil, gooseneck and tape; nothing leaves the area unbagged"
            because={p.bags.because}
          />
        </Panel>
      ) : null}
      <Panel title="Breathing">
        <AnswerRow
          label="Exposure"
          value={p.exposure.value === 'none' ? 'no lead in the air is presumed' : say(p.exposure.value)}
          because={p.exposure.because}
        />
        <AnswerRow
          label={p.respirator.value ? say(p.respirator.value) : 'No respirator called for by lead'}
          value={withCartridges(p.cartridges).replace(/^, /, '') || undefined}
          note={p.respirator.value ? 'Fit tested, clean shaven at the seal, seal checked each time' : undefined}
          because={p.respirator.because}
        />
      </Panel>
      <Panel title="Also on the list">
        <View className="gap-1">
          {p.kit.map((k) => (
            <AnswerRow key={k.value} label={say(k.value).charAt(0).toUpperCase() + say(k.value).slice(1)} because={k.because} />
          ))}
          {p.kit.length === 0 ? <Words>Nothing is disturbed: no equipment beyond the usual.</Words> : null}
        </View>
      </Panel>
      {p.sign.value.length > 0 ? (
        <Panel title="Sign">
          <View
            role="img"
            aria-label={`Sign: ${p.sign.value.join('. ')}`}
            className="items-center gap-1 border-4 border-soot bg-[#f9f9f7] p-4"
          >
            {p.sign.value.map((line, i) => (
              <Words
                key={line}
                look={i === 0 ? 'head' : 'strong'}
                tone={i === 0 ? 'paper' : 'ink'}
                className={`text-center ${i === 0 ? 'self-stretch bg-[#8e2f20] px-3 py-1' : ''}`}
              >
                {line}
              </Words>
            ))}
          </View>
          <AnswerRow label="Where and how long it hangs" because={p.sign.because} />
        </Panel>
      ) : null}
    </>
  );
}
