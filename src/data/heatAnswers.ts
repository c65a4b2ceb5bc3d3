import type { HeatAnswer } from '@/core/heat/answer';
import { db as theDb, type MesaDb } from './db';

/*
 * Answers of the heat model, kept so that a job opened again has them at once. Only what this very build calculated is read back: another build
 * may calculate otherwise. All of them may go.
 */

const BUILD = process.env.MESA_BUILD ?? '';
const MOST = 400;

/** The answer to a question as this build gave it before; null where it has not. */
export async function keptAnswer(
  key: string,
  db: MesaDb = theDb,
  build: string = BUILD,
): Promise<HeatAnswer | null> {
  if (build === '') return null;
  try {
    const row = await db.heatAnswers.get(key);
    return row?.build === build ? (row.answer as HeatAnswer) : null;
  } catch {
    return null;
  }
}

/** Keeps an answer, and lets the oldest go. A full disk is no matter. */
export async function keepAnswer(
  key: string,
  answer: HeatAnswer,
  db: MesaDb = theDb,
  build: string = BUILD,
  at: number = Date.now(),
): Promise<void> {
  if (build === '') return;
  try {
    await db.heatAnswers.put({ id: key, build, at, answer });
    const over = (await db.heatAnswers.count()) - MOST;
    if (over > 0) await db.heatAnswers.orderBy('at').limit(over).delete();
  } catch {
    // Calculated again next time.
  }
}
