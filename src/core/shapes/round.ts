import type { RoundShape, WallSection } from '../shop/blank';
import type { Band } from './band';
import type { Rect } from '../geometry/plane';
import { alongMm, profileAt, profileThrough, type Profile } from './profile';

/** The coated wall as the catalogue gives it: heights from the rim, mm. */
export function wallOf(s: RoundShape): Band {
  return { topMm: s.sections[0]?.fromRimMm ?? 0, footMm: s.sections.at(-1)?.fromRimMm ?? s.heightMm };
}

export const nominalProfile = (sections: readonly WallSection[]): Profile =>
  profileThrough(sections.map((v) => ({ z: v.fromRimMm, r: v.diameterMm / 2 })));

/** Length along the wall from its top to its foot as the catalogue gives it, mm. */
export const alongWallMm = (s: RoundShape): number => alongMm(nominalProfile(s.sections));

/** Straight, tapered or shaped, as the catalogue has it. */
export type RoundForm = 'straight' | 'tapered' | 'shaped';

/** Widths that agree to this are one width, mm. */
const SAME_MM = 0.3;

export function formOf(s: RoundShape): RoundForm {
  const first = s.sections[0] as WallSection;
  const last = s.sections.at(-1) as WallSection;
  const run = last.fromRimMm - first.fromRimMm;
  const onLine = (v: WallSection) =>
    Math.abs(
      v.diameterMm -
        first.diameterMm -
        ((last.diameterMm - first.diameterMm) * (v.fromRimMm - first.fromRimMm)) / run,
    ) <= SAME_MM;
  if (!s.sections.every(onLine)) return 'shaped';
  return Math.abs(first.diameterMm - last.diameterMm) <= SAME_MM ? 'straight' : 'tapered';
}

export const widestMm = (s: RoundShape): number => Math.max(...s.sections.map((v) => v.diameterMm));
export const narrowestMm = (s: RoundShape): number => Math.min(...s.sections.map((v) => v.diameterMm));

/** Room a side view takes, handle included: it stands to the right. */
export function sideBounds(s: RoundShape): Rect {
  const half = widestMm(s) / 2;
  return { x: -half, y: 0, width: 2 * half + (s.handle?.reachMm ?? 0), height: s.heightMm };
}

const n = (v: number): string => String(Math.round(v * 1000) / 1000);

/** The right-hand silhouette from rim to foot, mm. */
export function silhouette(s: RoundShape): readonly { readonly z: number; readonly r: number }[] {
  const wall = wallOf(s);
  const profile = nominalProfile(s.sections);
  const steps = s.sections.length === 2 ? 1 : 24;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const z = wall.topMm + ((wall.footMm - wall.topMm) * i) / steps;
    return { z, r: profileAt(profile, z).r };
  });
}

/** Side outline as an SVG path in mm: a rolled lip, the wall as it runs, and a rounded foot. Open ends are square. */
export function sideOutline(s: RoundShape): string {
  const wall = silhouette(s);
  const first = wall[0] ?? { z: 0, r: 1 };
  const last = wall.at(-1) ?? first;
  const lip = s.openEnds ? 0 : Math.min(first.z / 2, first.r / 6, 3);
  const foot = s.openEnds ? 0 : Math.min(s.heightMm - last.z, last.r * 0.8);
  const h = s.heightMm;
  const down = wall.map((p) => `L ${n(p.r)} ${n(p.z)}`).join(' ');
  const up = [...wall]
    .reverse()
    .map((p) => `L ${n(-p.r)} ${n(p.z)}`)
    .join(' ');
  return [
    `M ${n(-first.r + lip)} 0 H ${n(first.r - lip)} Q ${n(first.r)} 0 ${n(first.r)} ${n(lip)}`,
    `${down} L ${n(last.r)} ${n(h - foot)} Q ${n(last.r)} ${n(h)} ${n(last.r - foot)} ${n(h)}`,
    `H ${n(-last.r + foot)} Q ${n(-last.r)} ${n(h)} ${n(-last.r)} ${n(h - foot)}`,
    `${up} L ${n(-first.r)} ${n(lip)} Q ${n(-first.r)} 0 ${n(-first.r + lip)} 0 Z`,
  ].join(' ');
}

/** The handle from the side, a bent bar to the right of the wall, as an SVG path in mm; null without one. */
export function handleOutline(s: RoundShape): string | null {
  if (!s.handle) return null;
  const { fromRimMm: top, heightMm: h, reachMm: reach } = s.handle;
  const wallAt = (z: number) => profileAt(nominalProfile(s.sections), z).r - 1;
  const t = Math.min(reach * 0.3, h * 0.2, 9);
  const [a, b] = [wallAt(top), wallAt(top + h)];
  const out = Math.max(a, b) + reach;
  const [inTop, inFoot] = [wallAt(top + t), wallAt(top + h - t)];
  return [
    `M ${n(a)} ${n(top)} C ${n(out)} ${n(top)} ${n(out)} ${n(top + h)} ${n(b)} ${n(top + h)}`,
    `L ${n(inFoot)} ${n(top + h - t)} C ${n(out - t * 1.4)} ${n(top + h - t)} ${n(out - t * 1.4)} ${n(top + t)} ${n(inTop)} ${n(top + t)} Z`,
  ].join(' ');
}
