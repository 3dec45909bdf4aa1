import type { RehearsalRecord } from '@hervir/contract';
import type { ExerciseId, Plan } from '@hervir/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { newId, request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** What a rehearsal is begun from. */
export type RehearsalOf = { readonly exercise: ExerciseId } | { readonly braiseId: string } | { readonly plan: Plan };

/** Begins a rehearsal and goes to it. */
export function useStartRehearsal(): {
  readonly start: (of: RehearsalOf & { readonly scatter?: boolean }) => Promise<void>;
  readonly busy: boolean;
} {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const start = async (of: RehearsalOf & { readonly scatter?: boolean }): Promise<void> => {
    setBusy(true);
    try {
      const { id } = await request<RehearsalRecord>('POST', '/rehearsals', { id: newId(), ...of });
      void queryClient.invalidateQueries({ queryKey: keys.rehearsals });
      void navigate(`/rehearse/${id}`);
    } catch (error) {
      toastTrouble(t('shared.not-begun', { why: whyOf(error) }));
    } finally {
      setBusy(false);
    }
  };
  return { start, busy };
}
