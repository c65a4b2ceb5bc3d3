'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { Job } from '@/core/job/job';
import type { Plan } from '@/core/plan/planShape';
import type { Shop } from '@/core/shop/shop';
import type { Edit, JobStore } from './jobStore';
import type { Saver } from './saver';

export interface JobView {
  readonly job: Job;
  readonly plan: Plan;
  readonly shop: Shop;
  readonly edit: Edit;
  readonly store: JobStore;
  readonly saver: Saver;
}

export const JobContext = createContext<JobView | null>(null);

/** The same a breath later, for what need not follow the hand at once. */
export const AfterContext = createContext<JobView | null>(null);

interface LaterProps {
  /** Whether it may wait just now; what a hand is on may not. */
  readonly when?: boolean;
  readonly children: ReactNode;
}

/** What stands in it is redrawn after the drawing a hand or a key is moving, so that neither waits for it. */
export function Later({ when = true, children }: LaterProps) {
  const live = useContext(JobContext);
  const after = useContext(AfterContext);
  return <JobContext value={when ? after : live}>{children}</JobContext>;
}

/** The job in hand with its plan; only used below the job screen. */
export function useJob(): JobView {
  const view = useContext(JobContext);
  if (!view) throw new Error('useJob outside a job');
  return view;
}

export interface History {
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

export function useHistory(store: JobStore): History {
  const canUndo = useStore(store.temporal, (t) => t.pastStates.length > 0);
  const canRedo = useStore(store.temporal, (t) => t.futureStates.length > 0);
  return {
    undo: () => store.temporal.getState().undo(),
    redo: () => store.temporal.getState().redo(),
    canUndo,
    canRedo,
  };
}

/** Edits what is set at the press. From then on the job stays on the press it was set for, even where nobody had chosen one. */
export function useHeatEdit(): Edit {
  const { plan, edit } = useJob();
  const { press } = plan.heat;
  return (change, group) =>
    edit((j) => {
      const next = change(j);
      return { ...next, pressId: next.pressId ?? press?.id ?? null };
    }, group);
}
