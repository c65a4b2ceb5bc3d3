'use client';

import { useEffect, useState } from 'react';
import { matrix3d, squareMap } from '@/core/inspect/square';
import type { FaceSize } from '@/core/inspect/places';
import type { Photo } from '@/core/shop/mark';
import { photoUrl } from '@/data/photos';
import type { Fit } from '@/ui/board/Board';

/** The address of a kept photograph while it is shown. */
export function usePhoto(id: string | null): string | null {
  const [shown, setShown] = useState<{ readonly id: string; readonly url: string } | null>(null);
  useEffect(() => {
    if (id === null) return undefined;
    let live = true;
    let made: string | null = null;
    void photoUrl(id).then((url) => {
      if (url && live) {
        made = url;
        setShown({ id, url });
      } else if (url) URL.revokeObjectURL(url);
    });
    return () => {
      live = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  return shown && shown.id === id ? shown.url : null;
}

/** A photograph under the marks, set square by its four corners. */
export function PhotoUnder({
  photo,
  fit,
  face,
}: {
  photo: Photo;
  fit: Pick<Fit, 'k' | 'x' | 'y'>;
  face: FaceSize;
}) {
  const url = usePhoto(photo.id);
  const [w, h] = [fit.k * face.widthMm, fit.k * face.heightMm];
  const map = squareMap(photo, { width: w, height: h });
  if (!url || !map) return null;
  return (
    <div
      aria-hidden
      className="pointer-events-none absolute overflow-hidden"
      style={{ left: fit.x(0), top: fit.y(0), width: w, height: h }}
    >
      {/* The photograph's own pixels are warped; nothing is gained by a smaller copy. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img
        src={url}
        alt=""
        width={photo.widthPx}
        height={photo.heightPx}
        className="max-w-none origin-top-left"
        style={{ width: photo.widthPx, height: photo.heightPx, transform: matrix3d(map) }}
      />
    </div>
  );
}
