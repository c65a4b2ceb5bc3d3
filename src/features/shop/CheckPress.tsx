'use client';

import { useWords } from '@/ui/words';
import { say } from '@/core/message/message';
import { useRef, useState } from 'react';
import { fail, type Result } from '@/core/basics/result';
import { offsetMap } from '@/core/heat/press/pressModel';
import { probeC, type PressFaults } from '@/core/heat/press/pressSimulator';
import { seeded } from '@/core/random/random';
import { isFlatPress, isChamber, isWrapPress, type Press, type PressCheck } from '@/core/shop/press';

import { parseTemperature } from '@/core/units/parse';
import { celsius, decimal } from '@/core/message/quantity';
import { newId } from '@/data/ids';
import { savePress } from '@/data/shop';
import { Button } from '@/ui/Button';
import { notify, notifyProblem } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { TypedField } from '@/ui/TypedField';
import { useUnits } from '@/ui/units';

/** Where the probe goes: three by three over the face, from its back left. */
const POINTS = [1 / 6, 1 / 2, 5 / 6].flatMap((y) => [1 / 6, 1 / 2, 5 / 6].map((x) => ({ x, y })));
const PLACE_WORDS = [
  say('shop.backLeft'),
  'back',
  say('shop.backRight'),
  'left',
  'middle',
  'right',
  say('shop.frontLeft'),
  'front',
  say('shop.frontRight'),
];

interface Props {
  readonly press: Press;
  readonly faults: PressFaults | null;
  readonly onDone: () => void;
}

/** A difference of temperature in the shop's degrees, signed. */
function useDifference(): (k: number) => string {
  const units = useUnits();
  const t = useWords();
  return (k) => {
    const v = units.temperature === 'F' ? k * 1.8 : k;
    return `${v >= 0 ? '+' : '−'}${t.quantity(decimal(Math.abs(v), 1))} °${units.temperature}`;
  };
}

const MOST_KEPT = 60;
const keepCheck = (press: Press, check: PressCheck) =>
  savePress({ ...press, checks: [...press.checks, { ...check, at: Date.now() }].slice(-MOST_KEPT) });

/** Readings of the face at up to nine places, to an offset map that is used everywhere from then on. */
export function CheckPress({ press, faults, onDone }: Props) {
  const t = useWords();
  const units = useUnits();
  const difference = useDifference();
  const [setC, setSetC] = useState(190);
  const [by, setBy] = useState<PressCheck['with']>('probe');
  const [reads, setReads] = useState<readonly (number | null)[]>(POINTS.map(() => null));
  const [id] = useState(() => newId('check'));
  const chance = useRef(seeded(7));
  const points = POINTS.flatMap((p, i) => {
    const readC = reads[i];
    return readC === null || readC === undefined ? [] : [{ ...p, readC }];
  });
  const check: PressCheck = { id, at: 0, setC, with: by, points };
  const map = points.length > 0 ? offsetMap(check) : null;
  const parse = (text: string): Result<number> => readTemperature(text, units.temperature, setC);
  const put = (i: number, readC: number | null) => setReads((r) => r.map((v, j) => (j === i ? readC : v)));
  const save = async () => {
    const r = await keepCheck(press, check);
    if (!r.ok) return notifyProblem(r.problem);
    notify(t('shop.checkSavedUsesFrom', { press: press.name }));
    onDone();
  };
  const shown = (c: number) => t.parts(celsius(c));
  return (
    <div className="grid gap-5 md:grid-cols-[1fr_17rem]">
      <div>
        <div className="mb-3 flex flex-wrap items-end gap-5">
          <TypedField
            label={t('shop.displaySet')}
            text={shown(setC).number}
            unit={shown(setC).unit}
            parse={(typed) => parseTemperature(typed, units.temperature, t('shop.displaySet'))}
            onValue={setSetC}
          />
          <Segments
            label={t('shop.readWith')}
            value={by}
            onChange={setBy}
            options={[
              { value: 'probe', label: t('shop.probe') },
              { value: 'strips', label: t('shop.strips') },
            ]}
          />
        </div>
        <p className="mb-2 max-w-xl leading-snug">
          {t('shop.which2LetLet', {
            which: isWrapPress(press) ? 'letSettlePress' : 'other',
            which2: isChamber(press) ? 'letSettleTenMi' : 'other',
          })}
        </p>
        <div
          className={`grid grid-cols-3 border-2 border-ink bg-strata-5/25 ${isFlatPress(press) ? 'h-[22rem]' : 'h-[17rem]'}`}
        >
          {POINTS.map((p, i) => (
            <div key={i} className="grid content-center justify-items-center gap-1 border border-rule p-2">
              <TypedField
                label={t.label(PLACE_WORDS[i] ?? '')}
                text={reads[i] === null || reads[i] === undefined ? '' : shown(reads[i]).number}
                unit={`°${units.temperature}`}
                width="w-16"
                byHand={reads[i] !== null}
                parse={parse}
                onValue={(c) => put(i, c)}
              />
              {faults && (
                <Button onClick={() => put(i, probeC(faults, setC, p.x, p.y, chance.current))}>
                  {t('shop.probe')}
                </Button>
              )}
            </div>
          ))}
        </div>
      </div>
      <aside className="grid content-start gap-3" aria-live="polite">
        <h3 className="font-name text-lead font-semibold">{t('shop.whatSays')}</h3>
        {map ? (
          <dl className="grid gap-2 font-label">
            <Line
              label={t('shop.displayAgainstFace')}
              value={`${difference(map.readsHighK)} ± ${difference(2 * map.u).slice(1)}`}
            />
            {map.coldestK !== null && (
              <Line label={t('shop.coldestPlaceAgainstMean')} value={difference(map.coldestK)} />
            )}
            {map.hottestK !== null && (
              <Line label={t('shop.hottestPlaceAgainstMean')} value={difference(map.hottestK)} />
            )}
          </dl>
        ) : (
          <p>{t('shop.readingsYet')}</p>
        )}
        <p className="text-fine leading-snug">
          {press.checks.length === 0
            ? t('shop.neverCheckedDisplayTaken')
            : t('shop.keptBeforeOneNewest', { checks: press.checks.length })}
        </p>
        <Button kind="act" disabled={!map} onClick={() => void save()}>
          {t('shop.saveCheck')}
        </Button>
      </aside>
    </div>
  );
}

const Line = ({ label, value }: { label: string; value: string }) => (
  <div className="border-b border-rule pb-1">
    <dt className="text-fine">{label}</dt>
    <dd className="text-lead font-semibold">≈ {value}</dd>
  </div>
);

const ROOM_C = 35;
const FARTHEST_K = 80;

/** A reading that cannot be is refused in words: a face below the room, or nowhere near what is set. */
export function readTemperature(text: string, unit: 'C' | 'F', setC: number): Result<number> {
  const r = parseTemperature(text, unit, say('shop.reading'));
  if (!r.ok) return r;
  if (r.value < ROOM_C)
    return fail(say('shop.aboutRoomTemperature'), say('shop.reading'), say('shop.heatedFaceReadsFar'));
  if (Math.abs(r.value - setC) > FARTHEST_K)
    return fail(say('shop.tooFarFromDisplay'), say('shop.reading'), say('shop.lookUnitReadAgain'));
  return r;
}
