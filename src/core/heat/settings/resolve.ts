import type { HeatCase } from '../model/case';
import { fitBelief, independentPieces, type Belief, type Trial } from './fit';
import type { HeatSubject, SeenOutcome } from '../model/subject';
import { doseSensitivity, type LogDoses, type Spreads } from '../model/sensitivity';
import { fitHeater, withHeaterFit, type HeaterFit } from '../press/timing';

/** A subject with what its timings and outcomes taught. */
export interface Resolved {
  readonly load: HeatCase;
  readonly spreads: Spreads;
  readonly belief: Belief;
  readonly heaterFit: HeaterFit | null;
  readonly trials: readonly Trial[];
}

/** Spreads with the prior of the coating left alone: what a trial moves is counted in the units of this load. */
function trialOf(seen: SeenOutcome, fit: HeaterFit | null, spreads: Spreads): Trial {
  const load = fit ? withHeaterFit(seen.load, fit) : seen.load;
  const doses: LogDoses = doseSensitivity(load, seen.settings, spreads);
  return { id: seen.id, doses, verdict: seen.verdict, weight: independentPieces(seen.pieces) };
}

/** Fits the heater to its timings, then contact and coating to what was seen. */
export function resolve(s: HeatSubject): Resolved {
  const heaterFit =
    s.timings.length > 0
      ? fitHeater(s.timings, { powerSd: s.spreads.power, capacitySd: s.spreads.capacity })
      : null;
  const load = heaterFit ? withHeaterFit(s.load, heaterFit) : s.load;
  const spreads = heaterFit
    ? { ...s.spreads, power: heaterFit.powerSd, capacity: heaterFit.capacitySd }
    : s.spreads;
  const trials = s.seen.map((seen) => trialOf(seen, heaterFit, spreads));
  return { load, spreads, belief: fitBelief(trials, s.coating), heaterFit, trials };
}
