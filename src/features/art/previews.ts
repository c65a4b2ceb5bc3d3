import type { Source } from '@/core/art/items';
import type { PictureLook } from '@/core/art/lookInto';
import type { PictureRef } from '@/core/job/art';
import type { Result } from '@/core/result';
import { pictureBytes } from '@/data/pictures';
import { inWorker } from '@/workers/client';

const PREVIEW_PX = 1400;
/** Bent pictures kept; older ones are let go, their memory with them. */
const MOST_BENT = 40;

/** Previews made this session, by picture; the few a bench works on are kept. */
const plain = new Map<string, Promise<Result<string>>>();
const bent = new Map<string, Promise<Result<string>>>();
const looks = new Map<string, Promise<Result<PictureLook>>>();

function remembered<T>(
  map: Map<string, Promise<Result<T>>>,
  key: string,
  make: () => Promise<Result<T>>,
): Promise<Result<T>> {
  const found = map.get(key);
  if (found) return found;
  const fresh = make();
  map.set(key, fresh);
  void fresh.then((r) => {
    if (!r.ok) map.delete(key);
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

function forgetOldest(): void {
  const [oldest] = bent.keys();
  if (bent.size <= MOST_BENT || oldest === undefined) return;
  void bent.get(oldest)?.then((r) => {
    if (r.ok) URL.revokeObjectURL(r.value);
  });
  bent.delete(oldest);
}

/** A picture of a source for the screen: a smaller copy, bent or repeated as it will be printed. */
export function previewOf(source: Source): Promise<Result<string>> {
  const { ref } = source;
  if (source.kind === 'file')
    return remembered(plain, ref.id, () =>
      withBytes(ref, async (bytes) =>
        asUrl(await inWorker(ref.name, (api) => api.preview({ ref, bytes }, PREVIEW_PX))),
      ),
    );
  const key = JSON.stringify([ref.id, source.tiles, source.bend, source.area]);
  const made = remembered(bent, key, () =>
    withBytes(ref, async (bytes) =>
      asUrl(await inWorker(ref.name, (api) => api.bentPreview({ ref, bytes }, source, PREVIEW_PX))),
    ),
  );
  forgetOldest();
  return made;
}

/** What is in a picture's pixels, looked into once. */
export const lookOf = (ref: PictureRef): Promise<Result<PictureLook>> =>
  remembered(looks, ref.id, () =>
    withBytes(ref, (bytes) => inWorker(ref.name, (api) => api.lookInto({ ref, bytes }))),
  );
