/** One person's day as a band: as wide as it is long, as high as what is breathed, with the limit as a line. */
import { useState } from 'react';
import { View } from 'react-native';
import { Words } from '../../kit';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';

const HEIGHT = 116;
const BASE = 96;
const TOP = 12;
const SIDE = 4;

interface DayBandProps {
  readonly tasks: readonly { readonly what: string; readonly ugM3: number; readonly hours: number }[];
  readonly limit: number;
}

export function DayBand({ tasks, limit }: DayBandProps) {
  const [width, setWidth] = useState(0);
  const shown = tasks.filter((t) => t.hours > 0);
  const hours = shown.reduce((sum, t) => sum + t.hours, 0);
  const most = Math.max(limit * 1.25, ...shown.map((t) => t.ugM3));
  const y = (ug: number) => BASE - (ug / most) * (BASE - TOP);
  const x = (h: number) => SIDE + (h / Math.max(hours, 0.1)) * (width - 2 * SIDE);
  const says = `The day: ${shown.map((t) => `${t.what} ${t.hours} h at ${t.ugM3} µg/m³`).join(', ')}; the limit is ${Math.round(limit * 10) / 10} µg/m³.`;
  const from = (i: number) => shown.slice(0, i).reduce((sum, s) => sum + s.hours, 0);
  const told = `limit ${Math.round(limit * 10) / 10}`;
  return (
    <View className="gap-1 bg-panel pb-2">
      <View role="img" aria-label={says} onLayout={(e) => setWidth(e.nativeEvent.layout.width)}>
        {width > 0 ? (
          <Svg width={width} height={HEIGHT} aria-hidden>
            {shown.map((t, i) => (
              <Rect
                key={`${t.what}${i}`}
                x={x(from(i))}
                y={y(t.ugM3)}
                width={Math.max(1, x(from(i) + t.hours) - x(from(i)) - 1)}
                height={Math.max(1, BASE - y(t.ugM3))}
                fill={t.ugM3 > limit ? 'rgb(var(--oxide))' : 'rgb(var(--slate))'}
              />
            ))}
            {shown.map((t, i) => {
              const middle = (x(from(i)) + x(from(i) + t.hours)) / 2;
              return x(from(i) + t.hours) - x(from(i)) < 12 ? null : (
                <SvgText key={`${t.what}${i}`} x={middle} y={HEIGHT - 6} fontSize={13} textAnchor="middle" fill="rgb(var(--soot))">
                  {`${i + 1}`}
                </SvgText>
              );
            })}
            <Line x1={0} x2={width} y1={y(limit)} y2={y(limit)} stroke="rgb(var(--soot))" strokeWidth={2} strokeDasharray="8 5" />
            <Rect x={width - told.length * 7 - 10} y={y(limit) - 18} width={told.length * 7 + 8} height={16} fill="rgb(var(--panel))" />
            <SvgText x={width - 6} y={y(limit) - 5} fontSize={12} textAnchor="end" fill="rgb(var(--soot))">
              {told}
            </SvgText>
          </Svg>
        ) : null}
      </View>
      {shown.map((t, i) => (
        <View key={`${t.what}${i}`} className="flex-row gap-2 px-2">
          <Words look="note" className="w-4">{`${i + 1}`}</Words>
          <Words look="note" className="min-w-0 flex-1">
            {t.what}
          </Words>
          <Words look="note">{`${t.hours} h · ${t.ugM3 === 0 ? 'none in the air' : `${t.ugM3} µg/m³`}`}</Words>
        </View>
      ))}
    </View>
  );
}
