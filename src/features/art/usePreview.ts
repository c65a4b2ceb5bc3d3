'use client';

import { useEffect, useState } from 'react';
import type { PictureRef } from '@/core/job/job';
import type { Problem, Result } from '@/core/result';
import { pictureBytes } from '@/data/pictures';
import { inWorker } from '@/workers/client';

export type Preview =
  | { readonly kind: 'none' }
  | { readonly kind: 'loading' }
  | { readonly kind: 'ready'; readonly url: string }
  | { readonly kind: 'failed'; readonly problem: Problem };

const PREVIEW_PX = 1400;
/** Previews made this session, by picture; the few a bench works on are kept. */
const made = new Map<string, Promise<Result<string>>>();

async function make(ref: PictureRef): Promise<Result<string>> {
  const bytes = await pictureBytes(ref);
  if (!bytes.ok) return bytes;
  const blob = await inWorker(ref.name, (api) => api.preview({ ref, bytes: bytes.value }, PREVIEW_PX));
  return blob.ok ? { ok: true, value: URL.createObjectURL(blob.value) } : blob;
}

function previewOf(ref: PictureRef): Promise<Result<string>> {
  const found = made.get(ref.id);
  if (found) return found;
  const fresh = make(ref);
  made.set(ref.id, fresh);
  void fresh.then((r) => {
    if (!r.ok) made.delete(ref.id);
  });
  return fresh;
}

/** A smaller copy of a picture for the screen, as seen (its own orientation applied). */
export function usePreview(ref: PictureRef | null): Preview {
  const [preview, setPreview] = useState<{ readonly id: string; readonly result: Result<string> } | null>(
    null,
  );
  useEffect(() => {
    if (!ref) return;
    let gone = false;
    void previewOf(ref).then((result) => {
      if (!gone) setPreview({ id: ref.id, result });
    });
    return () => {
      gone = true;
    };
  }, [ref]);
  if (!ref) return { kind: 'none' };
  if (preview?.id !== ref.id) return { kind: 'loading' };
  return preview.result.ok
    ? { kind: 'ready', url: preview.result.value }
    : { kind: 'failed', problem: preview.result.problem };
}
