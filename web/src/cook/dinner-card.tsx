import { SECTION_WORDS, type CatchUp, type CookState } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useUnits } from '../shared/use-units';
import { clockAt } from '../shared/words';
import { reckoner } from '../workers/reckoner';
import type { Answer } from '../workers/reckoning';
import { driftWords, ON_TIME } from './drift-words';
import type { LiveCook } from './use-cook';

/** The part of the work that took longest beyond its plan: "Coming to pressure took 19 min, not 15." */
function whyLate({ took }: CookState): string | null {
  const [worst] = [...took].sort((a, b) => b.actual - b.planned - (a.actual - a.planned));
  if (!worst || worst.actual - worst.planned < 1) return null;
  // The plan has it heat beside the board: what is waited for came on late.
  if (worst.section === 'heat') return `The pot was put on ${Math.round(worst.actual - worst.planned)} min late.`;
  return `${SECTION_WORDS[worst.section]} took ${Math.round(worst.actual)} min, not ${Math.round(worst.planned)}.`;
}

/** When dinner will be, how far off plan, why, and what could win it back. */
export function DinnerCard({ cook }: { readonly cook: LiveCook }): ReactNode {
  const { record, state, now } = cook;
  const { system } = useUnits();
  const late = state.dinner.driftMinutes >= ON_TIME && state.status === 'cooking';
  const ways = useQuery({
    // Reckoned again as the work goes on, not at every tick.
    queryKey: ['catch-up', record.id, state.position, Math.floor(now / 60_000), system],
    queryFn: async (): Promise<Answer<CatchUp[]>> => reckoner('beside').catchUp(record.plan, state, now, system),
    enabled: late,
    staleTime: Infinity,
    gcTime: 60_000,
    placeholderData: (before) => before,
  }).data;
  const best = late && ways?.ok === true ? ways.value.slice(0, 1) : [];
  const why = late ? whyLate(state) : null;
  return (
    <section className="vessel side-card" aria-label="Dinner">
      <h2>
        Dinner
        <span className="time-now">
          now <span className="figure">{clockAt(now, record.guide.eatAt)}</span>
        </span>
      </h2>
      <p className="dinner">
        <span className="dinner-clock">{clockAt(state.dinner.at, record.guide.eatAt)}</span>
        <span className={late ? 'dinner-drift late' : 'dinner-drift'}>
          {late && <span aria-hidden>▲ </span>}
          {driftWords(state.dinner)}
        </span>
      </p>
      {why !== null && <p className="dim">{why}</p>}
      {best.map(({ id, text }) => (
        <p key={id} className="dim">
          {text}
        </p>
      ))}
    </section>
  );
}
