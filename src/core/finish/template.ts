import { mm } from '../message/quantity';
import { say, type Write } from '../message/message';
import type { DrawnPage } from '../geometry/drawing';
import { boundsOf, type Point } from '../geometry/plane';
import { tilePages, type DrawnRing } from '../geometry/tiles';
import type { HangerPlan } from './hanger';

/** A straight mark as a thin ring, so that it is cut at the edge of a page like all else. */
const mark = (a: Point, b: Point, widthMm = 0.2): DrawnRing => {
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const [nx, ny] = [((b.y - a.y) / length) * (widthMm / 2), (-(b.x - a.x) / length) * (widthMm / 2)];
  return {
    ring: [
      { x: a.x + nx, y: a.y + ny },
      { x: b.x + nx, y: b.y + ny },
      { x: b.x - nx, y: b.y - ny },
      { x: a.x - nx, y: a.y - ny },
    ],
    grey: 0.35,
    widthMm: 0.1,
  };
};

const box = (p: Point, widthMm: number, heightMm: number): DrawnRing => ({
  ring: [
    { x: p.x - widthMm / 2, y: p.y },
    { x: p.x + widthMm / 2, y: p.y },
    { x: p.x + widthMm / 2, y: p.y + heightMm },
    { x: p.x - widthMm / 2, y: p.y + heightMm },
  ],
  grey: 0,
  widthMm: 0.5,
});

/** The back of a piece at true size, to cut out, lay on and mark through: outline, plumb line, level line, and every holder. */
export function hangerTemplate(plan: HangerPlan, name: string, write: Write): readonly DrawnPage[] {
  const { plate, points } = plan;
  const b = boundsOf(plate.outline);
  const [first] = points;
  const level = first?.y ?? b.y;
  const rings: readonly DrawnRing[] = [
    { ring: plate.outline, grey: 0, widthMm: 0.4 },
    ...plate.holes.map((ring) => ({ ring, grey: 0, widthMm: 0.4 })),
    mark({ x: plate.balance.x, y: b.y }, { x: plate.balance.x, y: b.y + b.height }),
    mark({ x: b.x, y: level }, { x: b.x + b.width, y: level }),
    ...points.map((p) => box(p, plan.widthMm, plan.heightMm)),
  ];
  return tilePages(
    {
      rings,
      title: say('finish.hangerTemplate', { name }),
      about: (x, y) =>
        say('finish.hangerTemplateHow', {
          fromTop: whole(plan.fromTopMm),
          left: whole(x - b.x),
          top: whole(y - b.y),
        }),
    },
    write,
  );
}

const whole = (valueMm: number) => mm(Math.round(valueMm));
