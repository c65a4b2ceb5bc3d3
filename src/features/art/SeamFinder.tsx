'use client';

import { say } from '@/core/message/message';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useEffect, useMemo, useState } from 'react';
import { SEAM_WORDS, type SeamCut, type SeamSearch } from '@/core/art/seam';
import { closesAtMm, placedAtCut, seamRequest } from '@/core/art/seamRequest';
import type { PlacedPicture } from '@/core/art/placedLayers';
import type { PictureLayer } from '@/core/job/art';
import { mm, decimal } from '@/core/message/quantity';
import { pictureBytes } from '@/data/pictures';
import { Button } from '@/ui/Button';
import { notifyProblem } from '@/ui/notify';
import { useWords } from '@/ui/words';
import { inWorker, type FilesApi } from '@/workers/client';
import { useJob } from '../job/jobContext';
import { css } from './ArtItems';
import { editPicture } from './layers';
import { usePictures } from './useSources';

/** A picture not moved for this long is looked along. */
const SETTLED_MS = 250;

type Found = { readonly key: string; readonly search: SeamSearch };

/** Where a wide or repeating picture is best cut, so that its two ends meet. */
export function SeamFinder() {
  const t = useWords();
  const { job, plan } = useJob();
  const { board, placedLayers } = plan.art;
  const mine = placedLayers.find((l) => l.kind === 'picture');
  const layer = job.art.layers.find((l) => l.id === mine?.id);
  if (!board || mine?.kind !== 'picture' || layer?.kind !== 'picture')
    return <Says>{t('art.addPictureFirstSeam')}</Says>;
  return <SeamOf placedLayers={mine} layer={layer} />;
}

const Says = ({ children }: { children: React.ReactNode }) => (
  <p className="grid h-full place-content-center p-8 text-center text-lead">{children}</p>
);

function useSearch(
  placedLayers: PlacedPicture,
  layer: PictureLayer,
  cyclic: boolean,
): SeamSearch | null | 'turned' {
  const { plan } = useJob();
  const [found, setFound] = useState<Found | null>(null);
  const pattern = plan.art.board?.pattern;
  const request = useMemo(
    () => (pattern ? seamRequest(placedLayers, layer, pattern, cyclic) : null),
    [placedLayers, layer, pattern, cyclic],
  );
  const key = JSON.stringify([placedLayers.ref.id, request]);
  useEffect(() => {
    if (!request) return;
    const stop = new AbortController();
    let gone = false;
    const search = async () => {
      const bytes = await pictureBytes(placedLayers.ref);
      if (!bytes.ok || gone) return;
      const look = (api: FilesApi) => api.seams({ ref: placedLayers.ref, bytes: bytes.value }, request);
      const r = await inWorker(say('wrap.seam'), look, stop.signal);
      if (gone) return;
      if (r.ok) setFound({ key, search: r.value });
      else notifyProblem(r.problem);
    };
    // While a hand still moves the picture nothing is looked for; what was begun for another place is stopped.
    const soon = setTimeout(() => void search(), SETTLED_MS);
    return () => {
      gone = true;
      clearTimeout(soon);
      stop.abort();
    };
    // `key` says all that `ask` does, and stays the same where it does.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  if (!request) return 'turned';
  // What was found for another place says nothing of this one.
  return found?.key === key ? found.search : null;
}

function SeamOf({ placedLayers, layer }: { placedLayers: PlacedPicture; layer: PictureLayer }) {
  const t = useWords();
  const { plan, edit } = useJob();
  const [round, setRound] = useState(layer.repeat !== 'none');
  const search = useSearch(placedLayers, layer, round);
  const [picked, setPicked] = useState<number | null>(null);
  const pattern = plan.art.board?.pattern;
  if (search === 'turned' || !pattern) return <Says>{t('art.pictureRotatedFlippedSo')}</Says>;
  if (!search) return <Says>{t('art.searchingWholePicture')}</Says>;
  const cut = picked === null ? search.asIs : (search.best[picked] ?? search.asIs);
  const take = () =>
    edit(
      editPicture(layer.id, (l) => ({
        ...l,
        repeat: round && l.repeat === 'none' ? 'rows' : l.repeat,
        placement: placedAtCut(cut, placedLayers, l.placement, pattern),
      })),
    );
  return (
    <div className="absolute inset-0 flex flex-col gap-2 overflow-y-auto px-5 py-3">
      <AtTheSeam
        placedLayers={placedLayers}
        cut={cut}
        closesMm={closesAtMm(pattern)}
        wallMm={pattern.trim.height}
      />
      <Curve placedLayers={placedLayers} search={search} cut={cut} onPick={setPicked} />
      <div className="flex flex-wrap items-center gap-2">
        <CutButton
          label={t('art.currentPosition')}
          cut={search.asIs}
          chosen={picked === null}
          onPick={() => setPicked(null)}
        />
        {search.best.map((b, i) => (
          <CutButton
            key={i}
            label={t('art.place', { i: i + 1 })}
            cut={b}
            chosen={picked === i}
            onPick={() => setPicked(i)}
          />
        ))}
        <label className="flex min-h-10 items-center gap-2 font-label text-base font-medium">
          <input
            type="checkbox"
            checked={round}
            onChange={(e) => {
              setRound(e.target.checked);
              setPicked(null);
            }}
            className="size-5 accent-strata-3"
          />
          {t('art.pictureGoesRoundAgain')}
        </label>
        <Button kind="act" disabled={picked === null} onClick={take} className="ml-auto">
          {t('art.cutHere')}
        </Button>
      </div>
      <p className="text-lead">
        <strong>{t(SEAM_WORDS[cut.class].label)}:</strong> {t(SEAM_WORDS[cut.class].asks)}
      </p>
    </div>
  );
}

function CutButton({
  label,
  cut,
  chosen,
  onPick,
}: {
  label: string;
  cut: SeamCut;
  chosen: boolean;
  onPick: () => void;
}) {
  const t = useWords();
  return (
    <Button
      aria-pressed={chosen}
      onClick={onPick}
      className={chosen ? 'bg-strata-3 text-white hover:bg-strata-3' : ''}
    >
      {t('art.differs', {
        label,
        seamWords: SEAM_WORDS[cut.class].label,
        mismatch: decimal(cut.mismatch, 1),
      })}
    </Button>
  );
}

const VIEW_MM = 70;

/** The two ends side by side, as the seam will be seen on the blank. */
function AtTheSeam({
  placedLayers,
  cut,
  closesMm,
  wallMm,
}: {
  placedLayers: PlacedPicture;
  cut: SeamCut;
  closesMm: number;
  wallMm: number;
}) {
  const t = useWords();
  const refs = useMemo(() => [placedLayers.ref], [placedLayers.ref]);
  const { urls } = usePictures(refs);
  const url = urls[placedLayers.ref.id];
  const k = closesMm / cut.lengthPx;
  const { widthPx: width, heightPx: height } = placedLayers.ref;
  const rows = (placedLayers.transform.matrix[5] / placedLayers.transform.mmPerPx) * k;
  // The right end runs up to the seam at 0, the left end on from it; a cyclic picture is there on both sides.
  const copies = [-1, 0, 1].flatMap((turn) => [
    { x: -(cut.startPx + cut.lengthPx) * k + turn * width * k, clip: 'end' },
    { x: -cut.startPx * k + turn * width * k, clip: 'start' },
  ]);
  return (
    <figure className="min-h-40 flex-1">
      <svg
        viewBox={`${-VIEW_MM} 0 ${2 * VIEW_MM} ${wallMm}`}
        preserveAspectRatio="xMidYMid meet"
        className="h-full max-h-[22rem] w-full"
        role="img"
        aria-label={t('art.seamSeenRightEnd')}
      >
        <clipPath id="seam-end">
          <rect x={-VIEW_MM} y={0} width={VIEW_MM} height={wallMm} />
        </clipPath>
        <clipPath id="seam-start">
          <rect x={0} y={0} width={VIEW_MM} height={wallMm} />
        </clipPath>
        <rect x={-VIEW_MM} y={0} width={2 * VIEW_MM} height={wallMm} fill="#ffffff" />
        {url &&
          copies.map((c, i) => (
            <g key={i} clipPath={`url(#seam-${c.clip})`}>
              <g transform={css([k, 0, 0, k, c.x, rows])}>
                <image href={url} width={width} height={height} preserveAspectRatio="none" />
              </g>
            </g>
          ))}
        <line x1={0} x2={0} y1={0} y2={6} stroke="#c8371b" strokeWidth={0.8} />
        <line x1={0} x2={0} y1={wallMm - 6} y2={wallMm} stroke="#c8371b" strokeWidth={0.8} />
      </svg>
    </figure>
  );
}

const CHART = { width: 720, height: 96, left: 34, right: 14, top: 8, bottom: 22 } as const;

/** What the seam would cost at every place along the picture, the best marked. */
function Curve({
  placedLayers,
  search,
  cut,
  onPick,
}: {
  placedLayers: PlacedPicture;
  search: SeamSearch;
  cut: SeamCut;
  onPick: (best: number) => void;
}) {
  const t = useWords();
  // An enlarged picture has more room to move: its places may lie past the last one at this size.
  const lastPx = Math.max(1, ...[...search.curve, ...search.best, cut].map((c) => c.startPx));
  const most = Math.max(2, ...search.curve.map((c) => c.cost));
  const x = scaleLinear([0, lastPx], [CHART.left, CHART.width - CHART.right]);
  const y = scaleLinear([0, most], [CHART.height - CHART.bottom, CHART.top]);
  const path = line<SeamSearch['curve'][number]>(
    (c) => x(c.startPx),
    (c) => y(c.cost),
  )([...search.curve]);
  const mmAt = (px: number) => t.quantity(mm(px * placedLayers.transform.mmPerPx));
  return (
    <svg
      viewBox={`0 0 ${CHART.width} ${CHART.height}`}
      className="w-full shrink-0"
      role="group"
      aria-label={t('art.howMuchSeamWould')}
    >
      <path d={path ?? ''} fill="none" stroke="#14211f" strokeWidth={1.6} />
      <line
        x1={CHART.left}
        x2={CHART.width - CHART.right}
        y1={y(0)}
        y2={y(0)}
        stroke="#14211f"
        strokeWidth={1}
      />
      <text x={2} y={y(most) + 8} fontSize={11} fill="#14211f" className="font-label">
        {t('art.shows')}
      </text>
      <text x={2} y={y(0)} fontSize={11} fill="#14211f" className="font-label">
        {t('art.hides')}
      </text>
      <text
        x={x.range()[1]}
        y={CHART.height - 6}
        textAnchor="end"
        fontSize={11}
        fill="#14211f"
        className="font-label"
      >
        {t('art.leftEndWrapInto', { lastPx: mmAt(lastPx) })}
      </text>
      <line
        x1={x(cut.startPx)}
        x2={x(cut.startPx)}
        y1={CHART.top}
        y2={y(0)}
        stroke="#1d2c5e"
        strokeWidth={2}
        strokeDasharray="4 3"
      />
      {search.best.map((b, i) => (
        <g
          key={i}
          role="button"
          tabIndex={0}
          aria-label={t('art.placeIntoPicture', { i: i + 1, startPx: mmAt(b.startPx) })}
          className="cursor-pointer"
          onClick={() => onPick(i)}
          onKeyDown={(e) => {
            if (e.key === 'Enter' || e.key === ' ') {
              e.preventDefault();
              onPick(i);
            }
          }}
        >
          <circle
            cx={x(b.startPx)}
            cy={y(Math.min(most, b.cost))}
            r={9}
            fill="#c9b37a"
            stroke="#14211f"
            strokeWidth={1.6}
          />
          <text
            x={x(b.startPx)}
            y={y(Math.min(most, b.cost)) + 4}
            textAnchor="middle"
            fontSize={11}
            fontWeight={700}
            fill="#14211f"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
