import * as Comlink from 'comlink';
import { forecast, type Forecast, type PressNow } from '@/core/run/forecast';

const api = {
  forecast: (presses: readonly PressNow[], left: ReadonlyMap<string, number>): Forecast =>
    forecast(presses, left),
};
export type RunWorker = typeof api;

Comlink.expose(api);
