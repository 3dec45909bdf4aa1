import type { CookRecord } from '@hervir/contract';
import type { GuidePart } from '@hervir/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { newId, request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { flush } from '../state/bench/keep-bench';
import { receiveCooks } from '../state/cooks-store';
import { armBell } from './bell';
import { t } from '../language/t';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

interface StartCook {
  /** Begins a cook of a kept plan, and goes to the pot. */
  readonly start: (braiseId: string, part: GuidePart, acknowledged?: readonly string[]) => Promise<void>;
  readonly busy: boolean;
}

/** What begins a cook; why one was not begun is said. */
export function useStartCook(): StartCook {
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const start: StartCook['start'] = async (braiseId, part, acknowledged = []) => {
    setBusy(true);
    try {
      // The press that begins it may also make a sound later; and the newest edit is what is cooked.
      void armBell();
      await flush();
      const record = await request<CookRecord>('POST', '/cooks', {
        id: newId(),
        startedEventId: newId(),
        braiseId,
        part,
        acknowledged,
      });
      receiveCooks([record]);
      void queryClient.invalidateQueries({ queryKey: keys.running });
      void navigate(`/cook/${record.id}`);
    } catch (error) {
      toastTrouble(t('shared.not-begun', { why: whyOf(error) }));
      setBusy(false);
    }
  };
  return { start, busy };
}
