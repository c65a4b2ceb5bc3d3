import { eventOf, type TapKind } from '@/core/run/run';
import type { RunWithState } from '@/core/run/pieces';
import type { HandTaskId, RescueOutcome, RunEvent, RunPiece, SpoiledWhy } from '@/core/shop/run';
import { addRunEvent } from '@/data/runs';
import { notifyProblem } from '@/ui/notify';
import { shopNow } from './shopTime';
import { wakeSound } from './sound';

const KEPT_AS = 'mesa-drift.person';

/** Who presses at this screen; '' where nobody said. */
export function personHere(): string {
  try {
    return localStorage.getItem(KEPT_AS) ?? '';
  } catch {
    return '';
  }
}

export function setPersonHere(name: string): void {
  try {
    localStorage.setItem(KEPT_AS, name);
  } catch {
    // A browser that keeps nothing asks again next time.
  }
}

const by = (): { readonly by?: string } => {
  const name = personHere();
  return name === '' ? {} : { by: name };
};

async function add(runId: string, event: RunEvent, after: number | null): Promise<boolean> {
  const r = await addRunEvent(runId, event, after);
  if (!r.ok) notifyProblem(r.problem);
  return r.ok && r.value;
}

/** What a hand tapped about the step it saw. Taking back and stopping count whatever came between. */
export function tap(
  { run, state }: RunWithState,
  kind: TapKind,
  said: {
    readonly piece?: number;
    readonly why?: SpoiledWhy;
    readonly became?: 'second' | 'soaking';
  } = {},
): Promise<boolean> {
  wakeSound();
  const event = eventOf(run, state, kind, shopNow(), { ...by(), ...said });
  if (!event) return Promise.resolve(false);
  return add(
    run.id,
    event,
    kind === 'undo' || kind === 'undo-load' || kind === 'stop' ? null : run.events.length,
  );
}

export const countBetween = (runId: string, what: HandTaskId, count: number): Promise<boolean> =>
  add(runId, { kind: 'between', at: shopNow(), what, count, ...by() }, null);

/** How a piece came out of its soak. */
export const rescuePiece = (runId: string, piece: number, outcome: RescueOutcome): Promise<boolean> =>
  add(runId, { kind: 'rescued', at: shopNow(), piece, outcome, ...by() }, null);

export const layPieces = (runId: string, pieces: readonly RunPiece[]): Promise<boolean> =>
  add(runId, { kind: 'lay', at: shopNow(), pieces: [...pieces] }, null);
