/** 45 -> "45 min", 90 -> "1 h 30", 2880 -> "2 days". */
export function minutesText(min: number): string {
  const m = Math.round(min);
  if (m < 60) return `${m} min`;
  if (m < 48 * 60) return m % 60 === 0 ? `${m / 60} h` : `${Math.floor(m / 60)} h ${String(m % 60).padStart(2, '0')}`;
  return `${Number((m / 1440).toFixed(1))} days`;
}
