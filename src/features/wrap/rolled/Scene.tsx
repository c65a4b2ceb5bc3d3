'use client';

import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import type { PerspectiveCamera, Texture } from 'three';
import type { Blank } from '@/core/shop/blank';
import { isFlat, isRound } from '@/core/shop/blank';
import type { Pattern } from '@/core/wrap/pattern';
import { sideBounds } from '@/core/shapes/round';
import { FlatPlate } from './FlatPlate';
import { RoundBody } from './RoundBody';
import { RolledPaper } from './RolledPaper';

interface Props {
  readonly blank: Blank;
  readonly pattern: Pattern;
  readonly texture: Texture | null;
  readonly round: number;
  readonly rotationDeg: number;
  readonly tiltDeg: number;
}

const RAD = Math.PI / 180;
/** A mug is looked at from arm’s length: the eye stands this far off, mm. */
const ARMS_LENGTH_MM = 600;
const WIDEST_FOV_DEG = 36;

/** Draws again whenever anything shown has changed: nothing moves by itself. */
function useRedraw(...on: readonly unknown[]): void {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    invalidate();
    // The list is what is drawn; its length never changes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, on);
}

/** Looks from an arm’s length with just the field the blank fills; farther off where that would be too wide. */
function useStandBack(size: number): void {
  const get = useThree((s) => s.get);
  const viewport = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    const camera = get().camera as PerspectiveCamera;
    const narrow = Math.min(1, viewport.width / Math.max(1, viewport.height));
    const reach = (size * 0.66) / narrow;
    const away = Math.max(ARMS_LENGTH_MM, reach / Math.tan((WIDEST_FOV_DEG * RAD) / 2));
    camera.fov = (2 * Math.atan(reach / away)) / RAD;
    camera.position.set(0, 0, away);
    camera.lookAt(0, 0, 0);
    camera.updateProjectionMatrix();
    invalidate();
  }, [get, size, viewport, invalidate]);
}

export function RolledScene({ blank, pattern, texture, round, rotationDeg, tiltDeg }: Props) {
  useRedraw(blank, pattern, texture, round, rotationDeg, tiltDeg);
  const size = useMemo(() => {
    if (isRound(blank)) {
      const box = sideBounds(blank.shape);
      return Math.max(box.width, box.height, round < 1 ? pattern.whole.width : 0);
    }
    return Math.max(pattern.trim.width, pattern.trim.height);
  }, [blank, pattern, round]);
  useStandBack(size);
  return (
    <>
      <ambientLight intensity={1.5} />
      <directionalLight position={[-300, 400, 600]} intensity={1.6} />
      <group rotation={[tiltDeg * RAD, rotationDeg * RAD, 0]}>
        {isRound(blank) && (
          <>
            {round > 0.98 && <RoundBody blank={blank} />}
            <RolledPaper pattern={pattern} texture={texture} round={round} shape={blank.shape} />
          </>
        )}
        {isFlat(blank) && <FlatPlate blank={blank} pattern={pattern} texture={texture} />}
      </group>
    </>
  );
}
