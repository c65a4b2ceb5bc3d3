import * as Comlink from 'comlink';
import { forecast, type BoardProblem, type Forecast } from '@/core/schedule/forecast';

const api = {
  forecast: (board: BoardProblem): Forecast => forecast(board),
};
export type RunWorker = typeof api;

Comlink.expose(api);
