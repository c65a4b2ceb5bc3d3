import { parentPort, workerData } from 'node:worker_threads';
import { dayPlays, type DayPlan } from '../src/core/day/dayPlan';

// One of two workers that share the plays of a day.
const part = Number(workerData);
parentPort?.on('message', (of: Pick<DayPlan, 'problem' | 'policy'>) => {
  parentPort?.postMessage(dayPlays(of, part, 2).allS.length);
});
parentPort?.postMessage('ready');
