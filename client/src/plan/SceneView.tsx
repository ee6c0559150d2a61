/** Draws a scene of the core on the screen; a tap on a piece opens it. */
import { useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { hatch, paintColour, TEXTURES, type Scene, type Shape } from '@roughsill/core/unfold';

const FONT = 'HyperlegibleBold, sans-serif';

function ShapeView({ s }: { readonly s: Shape }) {
  switch (s.kind) {
    case 'rect': {
      const texture = s.paint !== null && s.textured ? TEXTURES[s.paint] : undefined;
      return (
        <G>
          <Rect
            x={s.x}
            y={s.y}
            width={s.w}
            height={s.h}
            fill={s.paint === null ? 'none' : paintColour(s.paint)}
            stroke={s.ink ? paintColour(s.ink) : undefined}
            strokeWidth={s.wide}
            strokeDasharray={s.dashed ? '4 3' : undefined}
          />
          {texture ? (
            <Path
              d={hatch(s, texture)
                .map((l) => `M${l.x1.toFixed(1)} ${l.y1.toFixed(1)}L${l.x2.toFixed(1)} ${l.y2.toFixed(1)}`)
                .join('')}
              stroke={paintColour(texture.ink)}
              strokeWidth={texture.wide}
              fill="none"
            />
          ) : null}
        </G>
      );
    }
    case 'line':
      return (
        <Line
          x1={s.x1}
          y1={s.y1}
          x2={s.x2}
          y2={s.y2}
          stroke={paintColour(s.ink)}
          strokeWidth={s.wide}
          strokeDasharray={s.dashed ? '6 4' : undefined}
        />
      );
    case 'dot':
      return <Circle cx={s.x} cy={s.y} r={s.r} fill={paintColour('paper')} stroke={paintColour(s.ink)} strokeWidth={2} />;
    case 'text':
      return (
        <SvgText x={s.x} y={s.y} fontSize={s.size} fontFamily={FONT} fill={paintColour(s.ink)} textAnchor={s.middle ? 'middle' : 'start'}>
          {s.text}
        </SvgText>
      );
  }
}

interface Props {
  /** The scene at a width in pixels. */
  readonly at: (width: number) => Scene;
  /** What it shows, in words; empty: it only adorns words beside it. */
  readonly says: string;
  readonly onOpen: (surfaceId: string) => void;
}

export function SceneView({ at, says, onOpen }: Props) {
  const [width, setWidth] = useState(0);
  const s = width > 0 ? at(width) : null;
  return (
    <View
      testID={says === '' ? undefined : 'unfolded'}
      role={says === '' ? undefined : 'img'}
      aria-label={says === '' ? undefined : says}
      onLayout={(e) => setWidth(e.nativeEvent.layout.width)}
    >
      {s ? (
        <Svg width={s.width} height={s.height} viewBox={`0 0 ${s.width} ${s.height}`} aria-hidden>
          {s.behind.map((x, i) => (
            <ShapeView key={`b${i}`} s={x} />
          ))}
          {s.pieces.map((p, j) => (
            <G key={`p${j}`} onPress={() => p.opens !== '' && onOpen(p.opens)}>
              {p.shapes.map((x, i) => (
                <ShapeView key={i} s={x} />
              ))}
            </G>
          ))}
          {s.before.map((x, i) => (
            <ShapeView key={`f${i}`} s={x} />
          ))}
        </Svg>
      ) : null}
    </View>
  );
}
