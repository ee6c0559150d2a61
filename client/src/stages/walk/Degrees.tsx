/** Degrees of decay, told by comparing with small drawings. The drawings are our own; the scale is ISO 4628, 0 to 5. */
import { Pressable, View } from 'react-native';
import Svg, { Circle, Line, Polygon, Rect } from 'react-native-svg';
import { DEGREES, degreeShare, GRADES, METAL, say, seeded, type GradeId, type Surface } from '@roughsill/core';
import { Words } from '../../kit';
import { cap } from '../../kit/text';

const SIZE = 44;
const INK = 'rgb(var(--soot))';
const HOLE = 'rgb(var(--umber))';

/** How much is drawn at each degree: enough to tell neighbours apart at arm's length, not a measured share. */
const AMOUNT = [0, 3, 7, 14, 26, 44] as const;

/** One drawing: the same for the same degree, on every screen. */
function Drawing({ grade, degree }: { readonly grade: GradeId; readonly degree: number }) {
  const random = seeded(`${grade}-${degree}`);
  const at = () => 4 + random() * (SIZE - 8);
  const n = AMOUNT[degree]!;
  const marks = Array.from({ length: grade === 'chalkGrade' ? 0 : n }, (_, i) => {
    const [x, y] = [at(), at()];
    if (grade === 'blisterGrade')
      return <Circle key={i} cx={x} cy={y} r={1.3 + random() * 1.2} fill="none" stroke={INK} strokeWidth={0.9} />;
    if (grade === 'rustGrade') return <Circle key={i} cx={x} cy={y} r={0.7 + random() * 1.1} fill={HOLE} />;
    if (grade === 'crackGrade') {
      const a = random() * Math.PI;
      const l = 3 + random() * 5;
      return <Line key={i} x1={x} y1={y} x2={x + l * Math.cos(a)} y2={y + l * Math.sin(a)} stroke={INK} strokeWidth={0.9} />;
    }
    const r = 1.4 + random() * 2.2;
    const points = Array.from({ length: 6 }, (__, k) => {
      const a = (k * Math.PI) / 3;
      const q = r * (0.6 + 0.8 * random());
      return `${(x + q * Math.cos(a)).toFixed(1)},${(y + q * Math.sin(a)).toFixed(1)}`;
    });
    return <Polygon key={i} points={points.join(' ')} fill={HOLE} stroke={INK} strokeWidth={0.5} />;
  });
  return (
    <Svg width={SIZE} height={SIZE} viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden>
      <Rect x={1} y={1} width={SIZE - 2} height={SIZE - 2} fill="rgb(var(--panel))" stroke="rgb(var(--line))" />
      {/* Chalk is judged on a strip of tape pressed to the face. */}
      {grade === 'chalkGrade' ? (
        <Rect x={8} y={6} width={SIZE - 16} height={SIZE - 12} fill={INK} fillOpacity={0.08 + 0.16 * degree} />
      ) : (
        marks
      )}
    </Svg>
  );
}

interface DegreesProps {
  readonly surface: Surface;
  readonly onSet: (fields: Partial<Surface>) => void;
}

export function Degrees({ surface, onSet }: DegreesProps) {
  const grades = GRADES.filter((g) => g !== 'rustGrade' || METAL.includes(surface.material));
  return (
    <View className="gap-3" testID="degrees">
      <Words look="label">How far gone, by eye: hold the phone beside it and compare</Words>
      {grades.map((g) => {
        const now = surface[g];
        const share = now === null ? null : degreeShare(g, now);
        return (
          <View key={g} role="radiogroup" aria-label={cap(say(g))} className="gap-1">
            <Words look="note">{`${cap(say(g))}${now === null ? '' : `: degree ${now}${share === null ? '' : `, up to ${share} % of the face`}`}`}</Words>
            <View className="flex-row flex-wrap gap-1">
              {DEGREES.map((d) => (
                <Pressable
                  key={d}
                  role="radio"
                  aria-checked={now === d}
                  aria-label={`${say(g)} ${d}`}
                  testID={`${g}-${d}`}
                  onPress={() => onSet({ [g]: now === d ? null : d })}
                  className={`min-h-touch min-w-touch items-center border-2 p-0.5 ${now === d ? 'border-soot bg-shelf' : 'border-transparent'}`}
                >
                  <Drawing grade={g} degree={d} />
                  <Words look="note">{String(d)}</Words>
                </Pressable>
              ))}
            </View>
          </View>
        );
      })}
    </View>
  );
}
