/** A photograph with its arrows, circles and numbers drawn over it, as on the screen. */
import type { Mark } from '@roughsill/core';

const INK = '#9b2c1f';
const EDGE = '#f9f9f7';

interface Picture {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

/** Twice over: a pale edge under the line, so that it shows on dark and light alike. */
const twice = (draw: (colour: string, w: number) => string): string => draw(EDGE, 5) + draw(INK, 2.4);

function shape(m: Mark, n: number, width: number, height: number): string {
  const [x, y, tx, ty] = [m.x * width, m.y * height, m.toX * width, m.toY * height];
  if (m.kind === 'circle') {
    const r = Math.max(9, Math.hypot(tx - x, ty - y));
    return twice((c, w) => `<circle cx="${x}" cy="${y}" r="${r}" fill="none" stroke="${c}" stroke-width="${w}"/>`);
  }
  if (m.kind === 'arrow') {
    const a = Math.atan2(y - ty, x - tx);
    const tip = (d: number) => `${x - 11 * Math.cos(a + d)},${y - 11 * Math.sin(a + d)}`;
    return twice(
      (c, w) =>
        `<line x1="${tx}" y1="${ty}" x2="${x}" y2="${y}" stroke="${c}" stroke-width="${w}"/>` +
        `<polygon points="${x},${y} ${tip(0.45)} ${tip(-0.45)}" fill="${c}" stroke="${c}" stroke-width="${w / 2}"/>`,
    );
  }
  return `<circle cx="${x}" cy="${y}" r="9" fill="${EDGE}" stroke="${INK}" stroke-width="1.6"/><text x="${x}" y="${y + 3.6}" font-size="10" text-anchor="middle" fill="${INK}">${n}</text>`;
}

/**
 * @param box the largest width and height on the page, pt
 * @returns an SVG document that holds the picture itself
 */
export function markedPicture(p: Picture, dataUri: string, box: readonly [number, number]): string {
  const scale = Math.min(box[0] / p.width, box[1] / p.height);
  const width = p.width * scale;
  const height = p.height * scale;
  const marks = p.marks.map((m, i) => shape(m, p.marks.slice(0, i + 1).filter((k) => k.kind === 'number').length, width, height));
  return `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><image x="0" y="0" width="${width}" height="${height}" xlink:href="${dataUri}"/>${marks.join('')}</svg>`;
}
