import type { BraiseRecord, LogChange, LogItem, LogRecord } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { useNavigate } from 'react-router';
import { newId, request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { asPicture } from './picture';
import { whyOf } from '../language/why-of';
import { toastTrouble } from '../shared/toast';

/** What can be done with a cook of the log; what fails is said, and nothing is half done. */
export interface EntryActions {
  readonly change: (part: LogChange) => Promise<void>;
  readonly again: () => Promise<void>;
  readonly remove: () => Promise<void>;
  readonly keepPhoto: (file: File) => Promise<void>;
  readonly removePhoto: () => Promise<void>;
}

/** The actions of one cook of the log. */
export function useEntry({ item, plan }: Pick<LogRecord, 'item' | 'plan'>): EntryActions {
  const navigate = useNavigate();
  const trying = async (work: () => Promise<void>): Promise<void> => {
    try {
      await work();
    } catch (error) {
      toastTrouble(whyOf(error));
    }
  };
  return {
    change: (part) =>
      trying(async () => {
        await request<LogItem>('PUT', `/log/${item.id}`, part);
        await queryClient.invalidateQueries({ queryKey: keys.log });
        await queryClient.invalidateQueries({ queryKey: keys.learnt });
      }),
    again: () =>
      trying(async () => {
        const next: Plan = { ...plan, pressureMinutes: null, serveAt: null, moved: {}, learnt: undefined };
        const { id } = await request<BraiseRecord>('POST', '/braises', { id: newId(), plan: next });
        await queryClient.invalidateQueries({ queryKey: keys.braises });
        void navigate(`/bench/${id}`);
      }),
    remove: () =>
      trying(async () => {
        await request('DELETE', `/log/${item.id}`);
        await queryClient.invalidateQueries();
        void navigate('/log');
      }),
    keepPhoto: (file) =>
      trying(async () => {
        await request('PUT', `/log/${item.id}/photo`, { base64: await asPicture(file) });
        await queryClient.invalidateQueries({ queryKey: keys.log });
      }),
    removePhoto: () =>
      trying(async () => {
        await request('DELETE', `/log/${item.id}/photo`);
        await queryClient.invalidateQueries({ queryKey: keys.log });
      }),
  };
}
