'use client';

import { say } from '@/core/message/message';
import { useWords } from '@/ui/words';
import { Canvas } from '@react-three/fiber';
import { useEffect, useMemo, useRef, useState } from 'react';
import { CanvasTexture, SRGBColorSpace } from 'three';
import { BlankShape, shapeBounds } from '@/ui/board/BlankShape';
import { ScaleDrawing } from '@/ui/board/Board';
import { arrowStep, useDragFrom } from '@/ui/board/drag';
import { Button } from '@/ui/Button';
import { isFlat, isRound } from '@/core/shop/blank';
import { mainFace, type Pattern } from '@/core/wrap/pattern';
import { IDENTITY } from '@/core/geometry/affine';
import { faceItems } from '@/core/art/items';
import { useSources } from '../../art/useSources';
import { useJob } from '../../job/jobContext';
import { FrontPicture } from '../FrontPicture';
import { RolledScene } from './Scene';
import { faceTexture } from './texture';

const ROLL_MS = 200;

function hasWebGl(): boolean {
  try {
    const canvas = document.createElement('canvas');
    return canvas.getContext('webgl2') !== null || canvas.getContext('webgl') !== null;
  } catch {
    return false;
  }
}

/** The art of the first face as a texture, made again whenever it changes. */
function useTexture(pattern: Pattern | null): CanvasTexture | null {
  const { plan } = useJob();
  const { placedLayers, sources } = plan.art;
  const { urls } = useSources(sources);
  const [texture, setTexture] = useState<CanvasTexture | null>(null);
  useEffect(() => {
    if (!pattern) return;
    let gone = false;
    const art = { items: faceItems(placedLayers, mainFace(pattern), IDENTITY), sources, urls };
    void faceTexture(mainFace(pattern), pattern.trim, art).then((canvas) => {
      if (gone || !canvas) return;
      const made = new CanvasTexture(canvas);
      made.colorSpace = SRGBColorSpace;
      setTexture((old) => {
        old?.dispose();
        return made;
      });
    });
    return () => {
      gone = true;
    };
  }, [pattern, placedLayers, sources, urls]);
  return texture;
}

/** Goes to a target over a moment, or at once where motion is not wanted. */
function useRolling(): readonly [number, (to: number) => void, (to: number) => void] {
  const [round, setRound] = useState(1);
  const frame = useRef(0);
  const go = (to: number) => {
    cancelAnimationFrame(frame.current);
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) {
      setRound(to);
      return;
    }
    const from = round;
    const start = performance.now();
    const step = (now: number) => {
      const part = Math.min(1, (now - start) / ROLL_MS);
      setRound(from + (to - from) * part);
      if (part < 1) frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
  };
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  return [round, setRound, go];
}

const VIEWS = [
  { label: say('art.front'), deg: 0 },
  { label: say('wrap.rightHand'), deg: -75 },
  { label: say('wrap.leftHand'), deg: 75 },
  { label: say('wrap.behind'), deg: 180 },
] as const;

/** How far it can be looked at from above and below, degrees. */
const tiltTo = (v: number): number => Math.min(60, Math.max(-40, v));

/** The pattern on its blank in three dimensions, to be turned; where the browser cannot, the front as it will be seen. */
export function Rolled() {
  const t = useWords();
  const { plan } = useJob();
  const { pattern } = plan.wrap;
  const { blank } = plan.blank;
  const texture = useTexture(pattern);
  const [rotationDeg, setRotationDeg] = useState(0);
  const [tiltDeg, setTiltDeg] = useState(6);
  const [round, setRound, goRound] = useRolling();
  const able = useMemo(() => hasWebGl(), []);
  const drag = useDragFrom(
    () => ({ turn: rotationDeg, tilt: tiltDeg }),
    (from, dx, dy) => {
      setRotationDeg(from.turn + dx * 0.5);
      setTiltDeg(tiltTo(from.tilt + dy * 0.3));
    },
  );
  if (!pattern || !blank)
    return (
      <p className="grid h-full place-content-center p-8 text-center text-lead">{t('art.wrapHasSizeYet')}</p>
    );
  if (!able) return <Still />;
  return (
    <div className="absolute inset-0 flex flex-col">
      <div
        className="relative min-h-0 flex-1 cursor-grab touch-none"
        role="slider"
        tabIndex={0}
        aria-label={t('wrap.blankTurnedDraggingArrow')}
        aria-valuemin={-180}
        aria-valuemax={180}
        aria-valuenow={Math.round(((rotationDeg + 540) % 360) - 180)}
        aria-valuetext={t('wrap.turnedDegrees', { rotation: Math.round(rotationDeg) })}
        onKeyDown={(e) =>
          arrowStep(e, (dx, dy) => {
            setRotationDeg((v) => v + 5 * dx);
            setTiltDeg((v) => tiltTo(v + 3 * dy));
          })
        }
        {...drag}
      >
        <Canvas
          frameloop="demand"
          dpr={[1, 1.5]}
          gl={{ antialias: false }}
          camera={{ position: [0, 0, 600], fov: 28, near: 10, far: 6000 }}
        >
          <RolledScene
            blank={blank}
            pattern={pattern}
            texture={texture}
            round={round}
            rotationDeg={rotationDeg}
            tiltDeg={tiltDeg}
          />
        </Canvas>
      </div>
      <div className="flex flex-wrap items-center gap-2 px-4 py-2">
        {VIEWS.filter((v) => isRound(blank) || v.deg % 180 === 0).map((v) => (
          <Button
            key={v.label.id}
            onClick={() => {
              setRotationDeg(v.deg);
              setTiltDeg(6);
            }}
          >
            {t(v.label)}
          </Button>
        ))}
        {isRound(blank) && (
          <>
            <Button onClick={() => goRound(round > 0.5 ? 0 : 1)}>
              {round > 0.5 ? t('wrap.unrollIt') : t('wrap.rollUp')}
            </Button>
            <label className="flex items-center gap-2 font-label text-fine font-medium">
              {t('wrap.rolled')}
              <input
                type="range"
                min={0}
                max={1}
                step={0.01}
                value={round}
                onChange={(e) => setRound(Number(e.target.value))}
                className="w-28 accent-strata-3"
              />
            </label>
          </>
        )}
        {isFlat(blank) && <span className="font-label text-fine text-soft">{t('wrap.turnOverSeeBack')}</span>}
      </div>
    </div>
  );
}

/** Without WebGL: the front, drawn flat. */
function Still() {
  const t = useWords();
  const { plan } = useJob();
  const { blank } = plan.blank;
  if (!blank) return null;
  return (
    <div className="absolute inset-0">
      <p className="absolute inset-x-0 bottom-2 px-4 text-center text-fine text-soft">
        {t('wrap.browserDrawsThreeDimensions')}
      </p>
      <ScaleDrawing
        label={t('wrap.fromFrontPicture', { blank: blank.name })}
        bounds={shapeBounds(blank.shape)}
        room={{ top: 50, right: 30, bottom: 40, left: 30 }}
        draw={(fit) => (
          <>
            <BlankShape fit={fit} blank={blank} />
            <FrontPicture fit={fit} />
          </>
        )}
      />
    </div>
  );
}
