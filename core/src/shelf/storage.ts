/** What of the things that stand together must not meet: no common board, pail, spill or bin. */
import { MEETINGS, type Meeting } from '../catalogue';
import { STANDS_AT, type GoodId, type StandsAt, type Tin } from '../facts';
import type { FirmSettings } from '../rulebook';
import { agentsOf } from './firm-sheets';

export interface Apart {
  readonly at: StandsAt;
  readonly one: GoodId;
  readonly other: GoodId;
  readonly meeting: Meeting;
}

/** Every pair of goods that stand at one place and would hurt somebody if they met. */
export function apartOn(settings: Pick<FirmSettings, 'products'>, tins: readonly Tin[]): Apart[] {
  return STANDS_AT.flatMap((at) => {
    const goods = [...new Set(tins.filter((t) => t.removedAt === null && t.amount > 0 && t.at === at).map((t) => t.good))].sort();
    const of = new Map(goods.map((g) => [g, agentsOf(settings, g)]));
    return goods.flatMap((one, i) =>
      goods.slice(i + 1).flatMap((other): Apart[] => {
        const meeting = MEETINGS.find(
          (m) =>
            m.hurts &&
            ((of.get(one)!.includes(m.one) && of.get(other)!.includes(m.other)) ||
              (of.get(one)!.includes(m.other) && of.get(other)!.includes(m.one))),
        );
        return meeting === undefined ? [] : [{ at, one, other, meeting }];
      }),
    );
  });
}
