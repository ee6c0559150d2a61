/** E1 to E8: what was measured decides, and stays. */
import { coatsFreeOfLead, type Run } from '../run';
import { leadMayBeCleared } from '../oracle/evidence';
import { asbestosMayBeCleared } from '../oracle/asbestos';
import type { Law } from './law';

const LAW_OF = { positive: 'E2', reachUnknown: 'E3', waiting: 'E5', doubted: 'E2', before: 'E4', unmeasured: 'E5' } as const;

/** Every coat that is called free of lead has to be one that the oracle lets go, for the reason that this law watches. */
const leadLaw = (id: string, says: string): Law => ({
  id,
  says,
  check: ({ facts, plans }: Run) =>
    facts.surfaces.flatMap((s) => {
      const plan = plans.get(s.id);
      if (!plan) return [];
      const free = coatsFreeOfLead(plan);
      return leadMayBeCleared(s, facts).flatMap((m) =>
        m.not !== null && LAW_OF[m.not] === id && free.has(m.coatId)
          ? [`${s.name}: coat ${m.coatId} is "not found" in spite of: ${m.not}`]
          : [],
      );
    }),
});

export const EVIDENCE: readonly Law[] = [
  {
    id: 'E1',
    says: 'a reading that found lead outranks every age',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        const bad = leadMayBeCleared(s, facts).some((m) => m.not === 'positive');
        return bad && plan.lead.overall.value === 'notFound' ? [`${s.name}: a standing positive, and lead is "not found"`] : [];
      }),
  },
  leadLaw('E2', 'on what it reached the strictest standing reading holds'),
  leadLaw('E3', 'a positive whose reach nobody recorded counts for every coat'),
  leadLaw('E4', 'what was found belongs to the place'),
  leadLaw('E5', 'a negative clears only what it reached, and only where the test is valid'),
  {
    id: 'E6',
    says: 'an asbestos area is negative only by enough samples, in distinct places, all negative',
    check: ({ facts, plans }) =>
      facts.surfaces.flatMap((s) => {
        const plan = plans.get(s.id);
        if (!plan) return [];
        return asbestosMayBeCleared(s, facts).flatMap(({ lies, not }) =>
          not !== null && plan.asbestos[lies].value === 'notFound'
            ? [`${s.name}: asbestos (${lies}) is "not found" in spite of: ${not}`]
            : [],
        );
      }),
  },
  {
    id: 'warm',
    says: 'a job that was edited is derived as one that is opened',
    check: ({ differs }) => differs,
  },
];
