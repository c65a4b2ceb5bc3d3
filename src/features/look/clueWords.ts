import { CLUES } from '@/core/look/evidence';
import type { Evidence } from '@/core/look/infer';

const LABELS: Readonly<Record<string, string>> = {
  where: 'Where',
  'used-paper': 'Used paper',
  verdict: 'Verdict',
  model: 'Heat model',
  opened: 'Passes opened',
  'press-checked': 'Press temperature checked',
  lot: 'Lot of blanks',
  'transfer-paper': 'Transfer paper',
  printer: 'Printer',
  turn: 'Came out',
  'in-gap': 'In the heater’s gap',
};
const VALUES: Readonly<Record<string, string>> = {
  all: 'all over',
  corner: 'a corner',
  edge: 'an edge',
  'rim-foot': 'rim or foot',
  seam: 'the seam',
  inside: 'inside',
  even: 'pale and even',
  'left-all': 'dye left all over',
  'left-in-places': 'dye left in places',
  browned: 'browned',
  under: 'too little',
  over: 'too much',
  other: 'another fault',
  good: 'good',
  early: 'early',
  'on-time': 'on time',
  late: 'late',
  'this-month': 'this month',
  'longer-ago': 'longer ago',
  never: 'never',
  'known-good': 'one that came out good',
  new: 'one not known good',
  usual: 'the one of the last good piece',
  first: 'first after a pause',
  later: 'after others',
  yes: 'yes',
  no: 'no',
};

/** What is known beside the faults, in words; what is known by halves with its share. Replies stand by their questions. */
export function clueWords(e: Evidence): readonly { readonly label: string; readonly text: string }[] {
  return CLUES.flatMap((c) => {
    const known = e.clues[c.id];
    if (!known) return [];
    const parts = c.values.flatMap((v, i) => {
      const share = known[i] ?? 0;
      const word = VALUES[v] ?? v;
      return share < 0.01 ? [] : [share > 0.99 ? word : `${word} ${Math.round(share * 100)} %`];
    });
    return [{ label: LABELS[c.id] ?? c.id, text: parts.join(', ') }];
  });
}
