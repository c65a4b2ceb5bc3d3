'use client';

import { useMemo } from 'react';
import { BufferAttribute, BufferGeometry, DoubleSide, type Texture } from 'three';
import { axialHeightMm } from '@/core/shapes/cone';
import type { RoundShape } from '@/core/shop/blank';
import type { Pattern } from '@/core/wrap/pattern';
import { partlyRolled, patternPoint } from '@/core/wrap/roll';

const ACROSS = 120;
const DOWN = 12;
/** Drawn this far off the wall, so that the two never fight for the same pixel, mm. */
const OFF_MM = 0.3;

interface Props {
  readonly pattern: Pattern;
  readonly texture: Texture | null;
  readonly round: number;
  readonly shape: RoundShape;
}

/** The paper part-way between flat and closed, its picture on it. */
export function RolledPaper({ pattern, texture, round, shape }: Props) {
  const geometry = useMemo(() => paperGeometry(pattern, round, shape), [pattern, round, shape]);
  if (!geometry) return null;
  return (
    <mesh geometry={geometry}>
      <meshLambertMaterial
        key={texture ? texture.uuid : 'plain'}
        map={texture}
        color="#ffffff"
        side={DoubleSide}
        transparent
        alphaTest={0.05}
      />
    </mesh>
  );
}

function paperGeometry(pattern: Pattern, round: number, shape: RoundShape): BufferGeometry | null {
  const { roll, trim } = pattern;
  if (!roll) return null;
  const { cone } = roll;
  const positions: number[] = [];
  const uvs: number[] = [];
  const index: number[] = [];
  // The middle of the paper stands where it does on the blank, the blank's middle at the origin.
  const lift = shape.heightMm / 2 - roll.topMm - axialHeightMm(cone) / 2;
  // A little over each end, for cuts that are not on a generator; the texture is clear there.
  const spare = (roll.toRad - roll.fromRad) * 0.01;
  for (let j = 0; j <= DOWN; j += 1) {
    const v = (cone.slantMm * j) / DOWN;
    for (let i = 0; i <= ACROSS; i += 1) {
      const a = roll.fromRad - spare + ((roll.toRad - roll.fromRad + 2 * spare) * i) / ACROSS;
      const p = partlyRolled(roll, a, v, round);
      const out = Math.hypot(p.x, p.z) || 1;
      positions.push(p.x + (OFF_MM * p.x) / out, p.y + lift, p.z + (OFF_MM * p.z) / out);
      const q = patternPoint(roll, a, v);
      uvs.push((q.x - trim.x) / trim.width, 1 - (q.y - trim.y) / trim.height);
      if (i < ACROSS && j < DOWN) {
        const at = j * (ACROSS + 1) + i;
        index.push(at, at + ACROSS + 1, at + 1, at + 1, at + ACROSS + 1, at + ACROSS + 2);
      }
    }
  }
  const g = new BufferGeometry();
  g.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
  g.setAttribute('uv', new BufferAttribute(new Float32Array(uvs), 2));
  g.setIndex(index);
  g.computeVertexNormals();
  return g;
}
