/** Minutes after midnight, as they are written and as they are read. */

/** `08:30` */
export const clock = (min: number): string => `${String(Math.floor(min / 60)).padStart(2, '0')}:${String(min % 60).padStart(2, '0')}`;

/** `8:30`, `0830`, `8`, `1.30 pm`: minutes after midnight; null: none of these. */
export function minutesOf(text: string): number | null {
  const m = /^\s*(\d{1,2})(?:[:.h]?(\d{2}))?\s*([ap])?\.?m?\.?\s*$/i.exec(text);
  if (!m) return null;
  const [said, min, half] = [Number(m[1]), Number(m[2] ?? 0), m[3]?.toLowerCase()];
  if (half !== undefined && (said < 1 || said > 12)) return null;
  const h = half === undefined ? said : (said % 12) + (half === 'p' ? 12 : 0);
  return h < 24 && min < 60 ? h * 60 + min : null;
}
