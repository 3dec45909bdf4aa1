import type { BraiseRecord } from '@hervir/contract';
import type { Plan } from '@hervir/core';
import { create } from 'zustand';
import { redux } from 'zustand/middleware';
import { benchReducer, EMPTY_BENCH } from './bench-reducer';
import { readDraft } from './drafts';

/** The plan on the bench. It is changed by the actions of its reducer only; {@link keepBench} saves what it holds. */
export const useBench = create(redux(benchReducer, EMPTY_BENCH));

const dispatch: typeof useBench.dispatch = (action) => useBench.dispatch(action);

/** Puts a plan on the bench, with an edit of it that this device still keeps. */
export const openBench = (record: BraiseRecord): void => {
  dispatch({ type: 'opened', record, draft: readDraft(record.id) });
};

/** Changes the plan: one step of undo. */
export const editPlan = (change: (plan: Plan) => Plan): void => {
  dispatch({ type: 'edited', change });
};

/** The minutes under a dragged handle; null when it is let go. */
export const dragHandle = (minutes: number | null): void => {
  dispatch({ type: 'dragged', minutes });
};

/** Of two plans, the one that was saved elsewhere. */
export const takeTheirs = (): void => {
  dispatch({ type: 'theirs-taken' });
};

/** One step back. */
export const undo = (): void => {
  dispatch({ type: 'undone' });
};

/** One step forward again. */
export const redo = (): void => {
  dispatch({ type: 'redone' });
};
