'use client';

import { useMemo } from 'react';
import { ExtrudeGeometry, Path, Shape, ShapeGeometry, type BufferGeometry, type Texture } from 'three';
import { flatten, mirrorContour, type Contour } from '@/core/geometry/contour';
import { holeContour } from '@/core/shapes/flat';
import type { FlatBlank } from '@/core/shop/blank';
import { mainFace, type Pattern } from '@/core/wrap/pattern';

interface Props {
  readonly blank: FlatBlank;
  readonly pattern: Pattern;
  readonly texture: Texture | null;
}

const TOLERANCE_MM = 0.2;

/** A plate with its picture on the front, and on the back where both faces are printed. */
export function FlatPlate({ blank, pattern, texture }: Props) {
  const { coating, wallMm } = blank;
  const face = useMemo(() => faceGeometry(blank, pattern, false), [blank, pattern]);
  const back = useMemo(() => faceGeometry(blank, pattern, true), [blank, pattern]);
  const body = useMemo(() => {
    const g = new ExtrudeGeometry(shapeOf(blank, pattern, false), { depth: wallMm, bevelEnabled: false });
    g.translate(0, 0, -wallMm / 2);
    return g;
  }, [blank, pattern, wallMm]);
  const clear = coating.stock === 'clear';
  const art = <meshLambertMaterial key={texture ? texture.uuid : 'plain'} map={texture} transparent />;
  return (
    <group>
      <mesh geometry={body}>
        <meshLambertMaterial color={coating.colour} transparent={clear} opacity={clear ? 0.4 : 1} />
      </mesh>
      <mesh geometry={face} position={[0, 0, wallMm / 2 + 0.2]}>
        {art}
      </mesh>
      {pattern.faces.length > 1 && (
        <mesh geometry={back} position={[0, 0, -wallMm / 2 - 0.2]} rotation={[0, Math.PI, 0]}>
          {art}
        </mesh>
      )}
    </group>
  );
}

/** The outline with its holes about the middle of the trim box, y upwards. */
function shapeOf(blank: FlatBlank, pattern: Pattern, mirrored: boolean): Shape {
  const { trim } = pattern;
  const turn = (c: Contour): Contour => (mirrored ? mirrorContour(c, trim.width / 2) : c);
  const points = (c: Contour) =>
    flatten(turn(c), TOLERANCE_MM).map((p) => [p.x - trim.width / 2, trim.height / 2 - p.y] as const);
  const trace = <P extends Path>(path: P, c: Contour): P => {
    points(c).forEach(([x, y], i) => (i === 0 ? path.moveTo(x, y) : path.lineTo(x, y)));
    path.closePath();
    return path;
  };
  const shape = trace(new Shape(), mainFace(pattern).trim);
  shape.holes = blank.shape.holes.map((h) => trace(new Path(), holeContour(h)));
  return shape;
}

function faceGeometry(blank: FlatBlank, pattern: Pattern, mirrored: boolean): BufferGeometry {
  const { trim } = pattern;
  const g = new ShapeGeometry(shapeOf(blank, pattern, mirrored), 24);
  const at = g.getAttribute('position');
  const uv = g.getAttribute('uv');
  for (let i = 0; i < at.count; i += 1)
    uv.setXY(i, at.getX(i) / trim.width + 0.5, at.getY(i) / trim.height + 0.5);
  uv.needsUpdate = true;
  return g;
}
