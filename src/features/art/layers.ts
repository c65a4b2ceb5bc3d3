import { say, type Message } from '@/core/message/message';
import type { Layer, PictureLayer, PictureRef, PicturePlacement, TextLayer } from '@/core/job/art';
import { boardOf } from '@/core/art/placedLayers';
import { movedBy } from '@/core/art/size';
import { MOST_LAYERS, pictureLayer, type ArtTemplate } from '@/core/job/art';
import { atTemplate } from '@/core/sheet/template';
import type { Job } from '@/core/job/job';
import { clamp } from '@/core/geometry/plane';
import type { Pattern } from '@/core/wrap/pattern';

const withLayers = (job: Job, layers: readonly Layer[]): Job => ({
  ...job,
  art: { ...job.art, layers: [...layers] },
});

/** Changes one layer of a kind; the others and the job stay as they are. */
export const editPicture =
  (id: string, next: (l: PictureLayer) => PictureLayer) =>
  (job: Job): Job =>
    withLayers(
      job,
      job.art.layers.map((l) => (l.id === id && l.kind === 'picture' ? next(l) : l)),
    );

export const editText =
  (id: string, next: (l: TextLayer) => TextLayer) =>
  (job: Job): Job =>
    withLayers(
      job,
      job.art.layers.map((l) => (l.id === id && l.kind === 'text' ? next(l) : l)),
    );

export const withPlacement =
  (id: string, next: Partial<PicturePlacement>) =>
  (job: Job): Job =>
    editPicture(id, (l) => ({ ...l, placement: { ...l.placement, ...next } }))(job);

/** Moves the middle of a layer to a place on the board, mm from the middle of the trim. */
export const movedTo =
  (id: string, dxMm: number, dyMm: number) =>
  (job: Job): Job =>
    withLayers(
      job,
      job.art.layers.map((l): Layer => {
        if (l.id !== id) return l;
        return l.kind === 'picture'
          ? {
              ...l,
              placement: {
                ...l.placement,
                dxMm: clamp(dxMm, -2000, 2000),
                dyMm: clamp(dyMm, -2000, 2000),
              },
            }
          : { ...l, dxMm: clamp(dxMm, -1000, 1000), dyMm: clamp(dyMm, -1000, 1000) };
      }),
    );

/** No more layers can be added; one more is refused, never put in another's place. */
export const isFull = (job: Job): boolean => job.art.layers.length >= MOST_LAYERS;

export const withLayer =
  (layer: Layer) =>
  (job: Job): Job =>
    isFull(job) ? job : withLayers(job, [...job.art.layers, layer]);

export const removed =
  (id: string) =>
  (job: Job): Job =>
    withLayers(
      job,
      job.art.layers.filter((l) => l.id !== id),
    );

/** One step up towards the top, or down. */
export const layerMoved =
  (id: string, by: 1 | -1) =>
  (job: Job): Job => {
    const from = job.art.layers.findIndex((l) => l.id === id);
    const to = from + by;
    const layers = [...job.art.layers];
    const [one] = from < 0 || to < 0 || to >= layers.length ? [] : layers.splice(from, 1);
    if (!one) return job;
    layers.splice(to, 0, one);
    return withLayers(job, layers);
  };

/** Another picture in the same place. */
export const replaced =
  (id: string, picture: PictureRef) =>
  (job: Job): Job =>
    editPicture(id, (l) => ({ ...l, picture, focalArea: null }))(job);

/** A first picture fills the wrap; a further one comes in at half size over it. */
export function newPicture(job: Job, id: string, picture: PictureRef): PictureLayer {
  const first = !job.art.layers.some((l) => l.kind === 'picture');
  return first
    ? pictureLayer(id, picture)
    : pictureLayer(id, picture, {
        placement: { base: 'fit', scale: 0.5, dxMm: 0, dyMm: 0, rotationDeg: 0 },
      });
}

/**
 * A picture more. A design made in a template is laid at 1:1 where the template had it. On a taper the template is the cut piece itself: its
 * design is laid straight on the paper.
 */
export function withPicture(
  job: Job,
  layer: PictureLayer,
  pattern: Pattern | null,
  template: ArtTemplate | null,
): Job {
  if (!pattern || !template) return withLayer(layer)(job);
  const art = pattern.form === 'cone' ? { ...job.art, warp: 'flat' as const } : job.art;
  return withLayer(atTemplate(layer, boardOf(pattern, art), template))({ ...job, art });
}

/** The same layer again, a little down and across, over it. */
export const duplicated =
  (id: string, copyId: string) =>
  (job: Job): Job => {
    const layer = job.art.layers.find((l) => l.id === id);
    return layer ? withLayer(movedBy({ ...layer, id: copyId }, 5, 5))(job) : job;
  };

export interface Target {
  readonly label: Message;
  /** From the middle of the trim, mm. */
  readonly dxMm: number;
}

/** Upright lines a layer may be set on: the middle, the front, and round a handle its two sides. */
export function targetsOf(pattern: Pattern, handled: boolean): readonly Target[] {
  const middle = pattern.trim.x + pattern.trim.width / 2;
  const { front, roll } = pattern;
  const found: Target[] = [{ label: say('common.middle'), dxMm: 0 }];
  if (!front) return found;
  const at = front.x - middle;
  const quarterMm = roll ? ((Math.PI / 2) * (roll.cone.topRadiusMm + roll.cone.footRadiusMm)) / 2 : 0;
  return handled
    ? [
        { label: say('art.leftHandle'), dxMm: at + quarterMm },
        { label: say('art.oppositeHandle'), dxMm: at },
        { label: say('art.rightHandle'), dxMm: at - quarterMm },
      ]
    : [...found, ...(Math.abs(at) > 0.05 ? [{ label: say('art.front'), dxMm: at }] : [])];
}

const PULL_PX = 7;

/** Where a dragged middle comes to rest: on a line that matters where one is near on the screen. */
export function pulled(dxMm: number, lines: readonly number[], pxPerMm: number): number {
  const near = lines.find((t) => Math.abs(t - dxMm) * pxPerMm <= PULL_PX);
  return near ?? dxMm;
}
