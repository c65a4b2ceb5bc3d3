import { type HeatSubject } from './model/subject';
import { keyOf } from '../memo/key';
import type { ChangeInput } from './settings/change';
import type { HeatSettings } from '../shop/heatSettings';
import type { HeatCase } from './model/case';
import type { CoolingPlace } from './cooling/cooling';
import type { GridKind, WindowRange } from './settings/window';

/** What is asked of the model. A plan names what it wants; a worker, or the command line, answers. */
export type HeatQuestion =
  | { readonly kind: 'start'; readonly subject: HeatSubject; readonly settings: HeatSettings }
  | { readonly kind: 'over'; readonly subject: HeatSubject; readonly settings: HeatSettings }
  | {
      readonly kind: 'outcome';
      readonly subject: HeatSubject;
      readonly settings: HeatSettings;
      readonly places: readonly CoolingPlace[];
    }
  | {
      readonly kind: 'window';
      readonly subject: HeatSubject;
      /** Of these only what is not temperature and time counts. */
      readonly settings: HeatSettings;
      readonly range: WindowRange;
      readonly grid: GridKind;
    }
  | {
      readonly kind: 'options';
      readonly subject: HeatSubject;
      readonly settings: HeatSettings;
      /** Pieces that would fit at once. */
      readonly most: number;
    }
  | {
      /** What one change would do after a piece with too little or too much. */
      readonly kind: 'change';
      readonly subject: HeatSubject;
      readonly settings: HeatSettings;
      readonly ask: ChangeInput;
    }
  | {
      /** What is believed of the shortest and the longest good dwell at the temperature set. */
      readonly kind: 'ladder';
      readonly subject: HeatSubject;
      readonly settings: HeatSettings;
    }
  | {
      /** The same dose as something proven, by one change after another. */
      readonly kind: 'match';
      readonly subject: HeatSubject;
      readonly settings: HeatSettings;
      readonly from: { readonly load: HeatCase; readonly settings: HeatSettings };
    };

export type HeatKey = string;

/** A subject is long, and asked after often: it is named once. */
const named = new WeakMap<HeatSubject, string>();
export function subjectKey(s: HeatSubject): string {
  const known = named.get(s);
  if (known) return known;
  const key = keyOf(s);
  named.set(s, key);
  return key;
}

/**
 * Key of the last answer to a similar question: same kind, same type of press, material and passes. It is shown while the new answer is
 * calculated, so that no setting falls back to the table and returns.
 */
export const lastKey = ({ kind, subject, settings }: HeatQuestion): HeatKey =>
  `last ${kind} ${subject.load.kind} ${subject.load.material} ${settings.passes}`;

export function heatKey(q: HeatQuestion): HeatKey {
  const { subject, ...rest } = q;
  return `${q.kind}-${subjectKey(subject)}-${keyOf(rest)}`;
}
