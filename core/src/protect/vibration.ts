/** How long a day a hand may hold a tool that shakes. */
import type { Method } from '../catalogue';
import type { MethodId } from '../facts';
import { answer, why, type Answer } from '../reasons';
import { measure } from '../units/units';

export interface Vibration {
  readonly methodId: MethodId;
  /** m/s2, over the three axes. */
  readonly a: number;
  readonly actionMin: number;
  readonly limitMin: number;
}

/** Usual magnitudes of kept tools, m/s2, the upper end. From memory of HSE L140 and makers' sheets: the sheet of the tool comes first. */
const USUAL: Readonly<Partial<Record<MethodId, number>>> = {
  needleGun: 14,
  flapDisc: 7,
  drillBrush: 6,
  nylonWheel: 5,
  powerSand: 5,
  hepaSand: 5,
  padSand: 4,
};
const OTHER = 5;
/** Over eight hours. Control of Vibration at Work Regulations 2005; the action value is what ACGIH calls its threshold of action too. */
export const ACTION = 2.5;
export const LIMIT = 5;

/** Minutes a day until a value over eight hours is reached: 480 (v / a)^2. HSE L140. */
export const minutesTo = (value: number, a: number): number => Math.min(480, 480 * (value / a) ** 2);

export const vibrationOf = (methods: readonly Method[]): Answer<Vibration>[] =>
  methods
    .filter((m) => m.shakes)
    .map((m) => {
      const a = USUAL[m.id] ?? OTHER;
      const [actionMin, limitMin] = [minutesTo(ACTION, a), minutesTo(LIMIT, a)];
      const facts = { method: m.id, action: measure(Math.floor(actionMin), 'min'), limit: measure(Math.floor(limitMin), 'min') };
      return answer({ methodId: m.id, a, actionMin, limitMin }, why('vibration.minutes', 'hse-l140', facts));
    });
