'use client';

import { useMemo } from 'react';
import { CatmullRomCurve3, DoubleSide, LatheGeometry, TubeGeometry, Vector2, Vector3 } from 'three';
import { profileAt } from '@/core/shapes/profile';
import { nominalProfile, silhouette } from '@/core/shapes/round';
import type { RoundBlank } from '@/core/shop/blank';

/** The blank itself: its wall turned, its handle, its lid. */
export function RoundBody({ blank }: { blank: RoundBlank }) {
  const { shape, coating } = blank;
  const body = useMemo(() => bodyGeometry(blank), [blank]);
  const handle = useMemo(() => handleGeometry(blank), [blank]);
  const lidded = blank.takeOff.some((t) => /\b(lid|cap|cup)\b/.test(t));
  const rim = (shape.sections[0]?.diameterMm ?? 60) / 2;
  const clear = coating.stock === 'clear';
  return (
    <group>
      <mesh geometry={body}>
        <meshLambertMaterial
          color={coating.colour}
          side={DoubleSide}
          transparent={clear}
          opacity={clear ? 0.35 : 1}
        />
      </mesh>
      {handle && (
        <mesh geometry={handle}>
          <meshLambertMaterial color={coating.colour} />
        </mesh>
      )}
      {lidded && !shape.openEnds && (
        <mesh position={[0, shape.heightMm / 2 + 5, 0]}>
          <cylinderGeometry args={[rim * 0.93, rim * 0.98, 10, 48]} />
          <meshLambertMaterial color="#8a9794" />
        </mesh>
      )}
    </group>
  );
}

function bodyGeometry({ shape }: RoundBlank): LatheGeometry {
  const half = shape.heightMm / 2;
  const wall = silhouette(shape);
  const first = wall[0] ?? { z: 0, r: 10 };
  const last = wall.at(-1) ?? first;
  const foot = shape.openEnds ? 0 : Math.min(shape.heightMm - last.z, last.r * 0.6);
  const points = [
    new Vector2(first.r, half),
    ...wall.map((p) => new Vector2(p.r, half - p.z)),
    new Vector2(last.r, -half + foot),
    ...(shape.openEnds
      ? [new Vector2(last.r, -half)]
      : [
          new Vector2(last.r - foot * 0.3, -half + foot * 0.3),
          new Vector2(last.r - foot, -half),
          new Vector2(0.01, -half),
        ]),
  ];
  return new LatheGeometry(points, 96);
}

/** A bent bar behind the blank, opposite its front. */
function handleGeometry({ shape }: RoundBlank): TubeGeometry | null {
  const { handle } = shape;
  if (!handle) return null;
  const half = shape.heightMm / 2;
  const profile = nominalProfile(shape.sections);
  const bar = Math.min(handle.widthMm / 2, 7);
  const top = handle.fromRimMm + bar;
  const foot = handle.fromRimMm + handle.heightMm - bar;
  const at = (z: number, out: number) => new Vector3(0, half - z, -(profileAt(profile, z).r + out));
  const reach = handle.reachMm - bar;
  const curve = new CatmullRomCurve3([
    at(top, -2),
    at(top, reach * 0.55),
    at(top + (foot - top) * 0.25, reach),
    at(top + (foot - top) * 0.65, reach * 0.95),
    at(foot, reach * 0.45),
    at(foot, -2),
  ]);
  return new TubeGeometry(curve, 48, bar, 16);
}
