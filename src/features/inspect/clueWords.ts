import { say, type Message, verbatim } from '@/core/message/message';
import { CLUES } from '@/core/inspect/evidence';
import type { Evidence } from '@/core/inspect/infer';

const LABELS: Readonly<Record<string, Message>> = {
  where: say('inspect.where'),
  'used-paper': say('common.usedPaper'),
  verdict: say('common.verdict'),
  model: say('inspect.heatModel'),
  opened: say('inspect.passesOpened'),
  'press-checked': say('inspect.pressTemperatureChecked'),
  lot: say('inspect.lotBlanks'),
  'transfer-paper': say('common.transferPaper'),
  printer: say('common.printer'),
  turn: say('inspect.cameOut'),
  'in-gap': say('inspect.heatersGap'),
};
const VALUES: Readonly<Record<string, Message>> = {
  all: say('inspect.allOver'),
  corner: say('inspect.aCorner'),
  edge: say('inspect.anEdge'),
  'rim-foot': say('inspect.rimFoot'),
  seam: say('inspect.theSeam'),
  inside: say('inspect.inside'),
  even: say('common.paleEven'),
  'left-all': say('common.dyeLeftAllOver'),
  'left-in-places': say('common.dyeLeftPlaces'),
  browned: say('common.browned'),
  under: say('common.tooLittle'),
  over: say('common.tooMuch'),
  other: say('inspect.anotherFault'),
  good: say('common.good2'),
  early: say('inspect.early'),
  'on-time': say('inspect.onTime'),
  late: say('inspect.late'),
  'this-month': say('inspect.thisMonth'),
  'longer-ago': say('inspect.longerAgo'),
  never: say('common.never'),
  'known-good': say('inspect.oneCameOutGood'),
  new: say('inspect.oneKnownGood'),
  usual: say('inspect.oneLastGoodPiece'),
  first: say('inspect.firstAfterPause'),
  later: say('inspect.afterOthers'),
  yes: say('inspect.yes2'),
  no: say('common.noWord'),
};

/** What is known beside the faults, in words; what is known by halves with its share. Replies stand by their questions. */
export function clueWords(e: Evidence): readonly { readonly label: Message; readonly text: Message }[] {
  return CLUES.flatMap((c) => {
    const known = e.clues[c.id];
    if (!known) return [];
    const parts = c.values.flatMap((v, i) => {
      const share = known[i] ?? 0;
      const word = VALUES[v] ?? verbatim(v);
      if (share < 0.01) return [];
      return [share > 0.99 ? word : say('inspect.share', { word, percent: Math.round(share * 100) })];
    });
    return [{ label: LABELS[c.id] ?? verbatim(c.id), text: say('inspect.list', { parts }) }];
  });
}
