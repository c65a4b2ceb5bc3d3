'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Camera, Image as Picture } from 'lucide-react';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { cornersGoRound } from '@/core/inspect/square';
import { MOST_PHOTOS, type Photo } from '@/core/shop/mark';
import { importPhoto } from '@/data/photos';
import { Button } from '@/ui/Button';
import { Dialog } from '@/ui/Dialog';
import { FileButton } from '@/ui/FileButton';
import { notify, notifyProblem, notifyWrong } from '@/ui/notify';
import { arrowStep } from '@/ui/board/drag';
import { useJob } from '../job/jobContext';
import { usePhoto } from './PhotoUnder';

interface Props {
  readonly on: Photo['of'];
  readonly shown: boolean;
  readonly onShown: (on: boolean) => void;
}

/** Brings a photograph of what is looked at, from a file or the camera, and sets it square under the marks. */
export function Photos({ on, shown, onShown }: Props) {
  const t = useWords();
  const { job, edit } = useJob();
  const [squaring, setSquaring] = useState<string | null>(null);
  const { photos } = job.inspection;
  const mine = photos.find((p) => p.of === on);
  const importFile = async (file: File) => {
    if (photos.length >= MOST_PHOTOS && !mine)
      return notifyWrong(t('inspect.photographsKeptOneInspection', { mostPhotos: MOST_PHOTOS }));
    const r = await importPhoto(file, on);
    if (!r.ok) return notifyProblem(r.problem);
    edit((j) => ({
      ...j,
      inspection: { ...j.inspection, photos: [...j.inspection.photos.filter((p) => p.of !== on), r.value] },
    }));
    onShown(true);
    setSquaring(r.value.id);
  };
  const put = (photo: Photo) =>
    edit((j) => ({
      ...j,
      inspection: {
        ...j.inspection,
        photos: j.inspection.photos.map((p) => (p.id === photo.id ? photo : p)),
      },
    }));
  const squared = photos.find((p) => p.id === squaring);
  return (
    <span className="flex flex-wrap items-center gap-1">
      <FileButton
        label={t('inspect.photographOfThe', { on })}
        accept="image/*"
        onFile={(f) => void importFile(f)}
      >
        <Picture size={18} aria-hidden />
        <span className="sr-only">
          {t('inspect.anotherPhotograph', { which: mine ? 'anotherPhotogr' : 'other' })}
        </span>
      </FileButton>
      <CameraButton on={on} onFile={(f) => void importFile(f)} />
      {mine && (
        <>
          <Button aria-pressed={shown} onClick={() => onShown(!shown)}>
            {shown ? t('inspect.hideIt') : t('inspect.showIt')}
          </Button>
          <Button onClick={() => setSquaring(mine.id)}>{t('inspect.square')}</Button>
          <Button
            kind="quiet"
            onClick={() => {
              edit((j) => ({
                ...j,
                inspection: { ...j.inspection, photos: j.inspection.photos.filter((p) => p.id !== mine.id) },
              }));
              notify(t('inspect.photographRemovedFromInspection'));
            }}
          >
            {t('common.remove2')}
          </Button>
        </>
      )}
      {squared && <SquareDialog photo={squared} onPut={put} onClose={() => setSquaring(null)} />}
    </span>
  );
}

/** A tablet opens its camera for this one. */
function CameraButton({ on, onFile }: { on: Photo['of']; onFile: (f: File) => void }) {
  const t = useWords();
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        aria-label={t('inspect.cameraForThe', { on })}
        tabIndex={-1}
        className="sr-only"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
      <Button
        aria-label={t('inspect.takePhotograph', { on })}
        onClick={() => input.current?.click()}
        className="px-2.5"
      >
        <Camera size={18} aria-hidden />
      </Button>
    </>
  );
}

const CORNER_WORDS = [
  say('inspect.topLeft'),
  say('inspect.topRight'),
  say('inspect.footRight'),
  say('inspect.footLeft'),
] as const;
const STEP = 0.004;

function SquareDialog({
  photo,
  onPut,
  onClose,
}: {
  photo: Photo;
  onPut: (p: Photo) => void;
  onClose: () => void;
}) {
  const t = useWords();
  const url = usePhoto(photo.id);
  const [corners, setCorners] = useState(photo.corners);
  const held = useRef<number | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const right = cornersGoRound(corners);
  const move = (i: number, u: number, v: number) =>
    setCorners((now) =>
      now.map((c, k) =>
        k === i ? { u: Math.min(1.2, Math.max(-0.2, u)), v: Math.min(1.2, Math.max(-0.2, v)) } : c,
      ),
    );
  const dragged = (e: PointerEvent) => {
    const size = box.current?.getBoundingClientRect();
    if (held.current === null || !size) return;
    move(held.current, (e.clientX - size.left) / size.width, (e.clientY - size.top) / size.height);
  };
  const keyed = (i: number) => (e: KeyboardEvent) => {
    const c = corners[i];
    if (c) arrowStep(e, (dx, dy) => move(i, c.u + dx * STEP, c.v + dy * STEP));
  };
  return (
    <Dialog
      open
      wide
      onClose={onClose}
      title={t('inspect.straighten')}
      about={t('inspect.dragFourHandlesCorners')}
    >
      <div className="grid place-items-center bg-board p-8">
        <div
          ref={box}
          className="relative max-h-[60vh]"
          style={{ aspectRatio: `${photo.widthPx} / ${photo.heightPx}`, height: '60vh', maxWidth: '100%' }}
          onPointerMove={dragged}
          onPointerUp={() => (held.current = null)}
        >
          {/* eslint-disable-next-line @next/next/no-img-element */}
          {url && <img src={url} alt={t('inspect.photographWasTaken')} className="size-full" />}
          <svg
            className="pointer-events-none absolute inset-0 size-full overflow-visible"
            viewBox="0 0 1 1"
            preserveAspectRatio="none"
            aria-hidden
          >
            <polygon
              points={corners.map((c) => `${c.u},${c.v}`).join(' ')}
              fill="none"
              stroke={right ? '#c8371b' : '#d08a3e'}
              strokeWidth={3}
              vectorEffect="non-scaling-stroke"
            />
          </svg>
          {corners.map((c, i) => (
            <button
              key={i}
              type="button"
              role="slider"
              aria-label={t('inspect.corner', { cornerWords: CORNER_WORDS[i] ?? '' })}
              aria-valuenow={Math.round(c.u * 100)}
              aria-valuemin={-20}
              aria-valuemax={120}
              aria-valuetext={t('inspect.fromLeftFromTop', {
                u: Math.round(c.u * 100),
                v: Math.round(c.v * 100),
              })}
              onKeyDown={keyed(i)}
              onPointerDown={(e) => {
                held.current = i;
                box.current?.setPointerCapture(e.pointerId);
              }}
              className="absolute size-9 -translate-1/2 touch-none border-4 border-white bg-act/80"
              style={{ left: `${c.u * 100}%`, top: `${c.v * 100}%` }}
            />
          ))}
        </div>
      </div>
      <div className="mt-4 flex flex-wrap items-center justify-end gap-2">
        {!right && <p className="mr-auto font-semibold">{t('inspect.cornersCrossGoRound')}</p>}
        <Button onClick={onClose}>{t('common.cancel')}</Button>
        <Button
          kind="act"
          disabled={!right}
          onClick={() => {
            onPut({ ...photo, corners: corners.map((c) => ({ ...c })) });
            onClose();
          }}
        >
          {t('inspect.useUnderMarks')}
        </Button>
      </div>
    </Dialog>
  );
}
