'use client';

import { problemMessage } from '@/core/basics/result';
import { hangerPlan, holeHang, plateOf, type HangerPlan } from '@/core/finish/hanger';
import { hangerTemplate } from '@/core/finish/template';
import { boundsOf, type Point } from '@/core/geometry/plane';
import type { Finish } from '@/core/job/finish';
import type { FlatBlank } from '@/core/shop/blank';
import { mm, decimal } from '@/core/message/quantity';
import { Button } from '@/ui/Button';
import { Labelled } from '@/ui/Labelled';
import { LengthField } from '@/ui/LengthField';
import { notifyProblem } from '@/ui/notify';
import { Segments } from '@/ui/Segments';
import { Q, useWords } from '@/ui/words';
import { labelFont } from '../logbook/labelFont';
import { saveBytesAs } from '../shell/download';
import { part } from '@/core/basics/part';

interface Props {
  readonly blank: FlatBlank;
  readonly name: string;
  readonly wish: Finish['hanger'];
  readonly onWish: (wish: Finish['hanger']) => void;
}

/** Where a piece hangs from: its own hole, or hangers placed by measure, with a paper template at true size. */
export function Hanger({ blank, name, wish, onWish }: Props) {
  const t = useWords();
  const plan = hangerPlan(blank, wish);
  const hang = holeHang(blank);
  const print = async () => {
    if (!plan.ok) return;
    const font = await labelFont();
    if (!font.ok) return notifyProblem(font.problem);
    const { drawnPdf } = await part(() => import('@/core/formats/drawnPdf'));
    saveBytesAs(
      'hanger.pdf',
      await drawnPdf(t('finish.hangerOf', { name }), hangerTemplate(plan.value, name, t), font.value),
      'application/pdf',
    );
  };
  const put = (next: Partial<Finish['hanger']>) => onWish({ ...wish, ...next });
  return (
    <section aria-label={t('finish.hanger')} className="grid gap-3 lg:grid-cols-[minmax(0,1fr)_16rem]">
      <div className="bg-board p-3">
        <PlateDrawing blank={blank} plan={plan.ok ? plan.value : null} />
      </div>
      <div className="grid content-start gap-2">
        <h2 className="font-name text-name font-semibold">{t('finish.hangerPosition')}</h2>
        {hang && (
          <p>
            {t('finish.hungHoleHangs', {
              leans: decimal(Math.abs(hang.leansDeg), 1),
              which: hang.leansDeg > 0 ? 'right' : 'other',
              which2: Math.abs(hang.leansDeg) < 0.3 ? 'uprightHoleSid' : 'other',
            })}
          </p>
        )}
        {plan.ok ? (
          <p>
            {plan.value.points.length === 2 ? t('finish.twoHangersLevel') : t('finish.oneHangerMiddleLine')}
            <Q of={mm(plan.value.fromTopMm)} /> {t('finish.belowTop')} <Q of={mm(plan.value.aboveMm)} />{' '}
            {t('finish.aboveBalancePointOne', { degPer: decimal(plan.value.degPerMm, 1) })}
          </p>
        ) : (
          <p role="status" className="font-semibold">
            {t(problemMessage(plan.problem))}
          </p>
        )}
        <Labelled label={t('finish.hangers')}>
          <Segments
            label={t('finish.hangers')}
            value={String(wish.count ?? 'auto')}
            options={[
              { value: 'auto', label: t('common.calculated') },
              { value: '1', label: t('finish.oneHanger') },
              { value: '2', label: t('finish.twoHangers') },
            ]}
            onChange={(v) => put({ count: v === '1' ? 1 : v === '2' ? 2 : null })}
          />
        </Labelled>
        <div className="flex flex-wrap gap-3">
          <LengthField
            label={t('finish.hangerAcross')}
            valueMm={wish.widthMm}
            minMm={5}
            maxMm={200}
            byHand
            onValue={(widthMm) => put({ widthMm })}
          />
          <LengthField
            label={t('common.itsHeight')}
            valueMm={wish.heightMm}
            minMm={3}
            maxMm={200}
            byHand
            onValue={(heightMm) => put({ heightMm })}
          />
          <LengthField
            label={t('finish.fromAnyEdge')}
            valueMm={wish.edgeMm}
            minMm={0}
            maxMm={100}
            byHand
            onValue={(edgeMm) => put({ edgeMm })}
          />
          <LengthField
            label={t('finish.belowTop2')}
            valueMm={wish.fromTopMm ?? (plan.ok ? plan.value.fromTopMm : 0)}
            minMm={0}
            maxMm={1300}
            byHand={wish.fromTopMm !== null}
            onValue={(fromTopMm) => put({ fromTopMm })}
          />
        </div>
        {wish.fromTopMm !== null && (
          <Button onClick={() => put({ fromTopMm: null })}>{t('finish.resetHeight')}</Button>
        )}
        <Button kind="act" disabled={!plan.ok} onClick={() => void print()}>
          {t('finish.paperTemplateTrueSize')}
        </Button>
      </div>
    </section>
  );
}

const path = (ring: readonly Point[]): string =>
  `M${ring.map((p) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`).join('L')}Z`;

/** The back of the piece to scale: plumb line, balance, hangers. */
function PlateDrawing({ blank, plan }: { blank: FlatBlank; plan: HangerPlan | null }) {
  const t = useWords();
  const plate = plan?.plate ?? plateOf(blank);
  const box = boundsOf(plate.outline);
  const pad = Math.max(box.width, box.height) * 0.06;
  const thin = Math.max(box.width, box.height) / 400;
  return (
    <svg
      viewBox={`${box.x - pad} ${box.y - pad} ${box.width + 2 * pad} ${box.height + 2 * pad}`}
      role="img"
      aria-label={t('finish.backPieceHangers')}
      className="mx-auto max-h-72 w-full"
    >
      <path
        d={[plate.outline, ...plate.holes].map(path).join('')}
        fillRule="evenodd"
        className="fill-sheet stroke-ink"
        strokeWidth={thin * 2}
      />
      <line
        x1={plate.balance.x}
        x2={plate.balance.x}
        y1={box.y - pad / 2}
        y2={box.y + box.height}
        className="stroke-soft"
        strokeWidth={thin}
        strokeDasharray={`${thin * 8} ${thin * 5}`}
      />
      <circle cx={plate.balance.x} cy={plate.balance.y} r={thin * 5} className="fill-act" />
      <text
        x={plate.balance.x + thin * 9}
        y={plate.balance.y + thin * 8}
        fontSize={thin * 24}
        className="fill-act-deep font-label font-semibold"
      >
        {t('finish.balance')}
      </text>
      {plan && (
        <>
          <line
            x1={box.x}
            x2={box.x + box.width}
            y1={plan.points[0]?.y ?? 0}
            y2={plan.points[0]?.y ?? 0}
            className="stroke-soft"
            strokeWidth={thin}
            strokeDasharray={`${thin * 8} ${thin * 5}`}
          />
          {plan.points.map((p) => (
            <rect
              key={p.x}
              x={p.x - plan.widthMm / 2}
              y={p.y}
              width={plan.widthMm}
              height={plan.heightMm}
              className="fill-strata-5 stroke-ink"
              strokeWidth={thin * 1.5}
            />
          ))}
        </>
      )}
    </svg>
  );
}
