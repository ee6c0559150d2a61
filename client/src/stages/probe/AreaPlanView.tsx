/** The faces of a homogeneous area to scale, with the places of its samples: rings to cut, discs that were cut. */
import { type AreaPlan } from '@roughsill/core/survey';
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Rect, Text as SvgText } from 'react-native-svg';

const MAX_H = 220;
const PAD = 12;

export function AreaPlanView({ plan, says }: { readonly plan: AreaPlan; readonly says: string }) {
  const [width, setWidth] = useState(0);
  const scale = width > 0 ? Math.min((width - 2 * PAD - 40) / plan.widthM, MAX_H / plan.heightM) : 0;
  const px = (m: number) => m * scale + PAD;
  return (
    <View role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)} className="bg-panel">
      {scale > 0 ? (
        <Svg width={width} height={plan.heightM * scale + 2 * PAD} aria-hidden>
          {plan.faces.map((f) => (
            <G key={f.surfaceId}>
              <Rect
                x={px(f.x)}
                y={px(f.y)}
                width={f.w * scale}
                height={f.h * scale}
                fill="none"
                stroke="rgb(var(--ash))"
                strokeWidth={1.5}
              />
              {f.w * scale > 60 ? (
                <SvgText x={px(f.x) + 5} y={px(f.y) + 15} fontSize={12} fill="rgb(var(--ash))">
                  {f.name}
                </SvgText>
              ) : null}
            </G>
          ))}
          {plan.dots.map((d) => (
            <G key={`${d.label}-${d.x}-${d.y}`}>
              <Circle
                cx={px(d.x)}
                cy={px(d.y)}
                r={6}
                fill={d.taken ? 'rgb(var(--soot))' : 'rgb(var(--panel))'}
                stroke="rgb(var(--soot))"
                strokeWidth={2}
              />
              <SvgText x={px(d.x) + 10} y={px(d.y) + 5} fontSize={13} fontWeight="bold" fill="rgb(var(--soot))">
                {d.label}
              </SvgText>
            </G>
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
