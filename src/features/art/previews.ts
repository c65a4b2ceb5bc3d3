import type { PixelSource } from '@/core/art/items';
import type { ImageAnalysis } from '@/core/art/analyseImage';
import type { PictureRef } from '@/core/job/art';
import { createLru, type Lru } from '@/core/memo/memo';
import type { Result } from '@/core/basics/result';
import { keepAnalysis, keptAnalysis } from '@/data/analyses';
import { pictureBytes } from '@/data/pictures';
import { inWorker } from '@/workers/client';
import { whileReading } from './reading';

const PREVIEW_PX = 1400;

/** Screen copies kept at most; older ones are let go, their memory with them. More than any one screen shows. */
const MOST_PLAIN = 60;
const MOST_BENT = 40;
const MOST_ANALYSES = 200;

const letGo = (url: Promise<Result<string>>): void =>
  void url.then((r) => {
    if (r.ok) URL.revokeObjectURL(r.value);
  });
const plain = createLru<string, Promise<Result<string>>>(MOST_PLAIN, letGo);
const bent = createLru<string, Promise<Result<string>>>(MOST_BENT, letGo);
const analyses = createLru<string, Promise<Result<ImageAnalysis>>>(MOST_ANALYSES);

function remembered<T>(
  lru: Lru<string, Promise<Result<T>>>,
  key: string,
  make: () => Promise<Result<T>>,
): Promise<Result<T>> {
  const found = lru.get(key);
  if (found) return found;
  const fresh = make();
  lru.set(key, fresh);
  void fresh.then((r) => {
    if (!r.ok) lru.delete(key);
  });
  return fresh;
}

async function withBytes<T>(
  ref: PictureRef,
  task: (bytes: Uint8Array) => Promise<Result<T>>,
): Promise<Result<T>> {
  const bytes = await pictureBytes(ref);
  return bytes.ok ? task(bytes.value) : bytes;
}

const asUrl = (blob: Result<Blob>): Result<string> =>
  blob.ok ? { ok: true, value: URL.createObjectURL(blob.value) } : blob;

/** A picture of a source for the screen: a smaller copy, bent or repeated as it will be printed. */
export function previewOf(source: PixelSource): Promise<Result<string>> {
  const { ref } = source;
  const reading = (task: (bytes: Uint8Array) => Promise<Result<Blob>>) =>
    whileReading(
      ref.name,
      withBytes(ref, async (bytes) => asUrl(await task(bytes))),
    );
  if (source.kind === 'file')
    return remembered(plain, ref.id, () =>
      reading((bytes) => inWorker(ref.name, (api) => api.preview({ ref, bytes }, PREVIEW_PX))),
    );
  return remembered(bent, JSON.stringify([ref.id, source.tiles, source.bend, source.area]), () =>
    reading((bytes) => inWorker(ref.name, (api) => api.bentPreview({ ref, bytes }, source, PREVIEW_PX))),
  );
}

/** What is in a picture's pixels, analysed once. */
export const analysisOf = (ref: PictureRef): Promise<Result<ImageAnalysis>> =>
  remembered(analyses, ref.id, async () => {
    const kept = await keptAnalysis(ref.id);
    if (kept) return { ok: true, value: kept };
    const found = await withBytes(ref, (bytes) =>
      inWorker(ref.name, (api) => api.analyseImage({ ref, bytes })),
    );
    if (found.ok) await keepAnalysis(ref.id, found.value);
    return found;
  });
