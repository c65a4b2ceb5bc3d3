import { demoShop, starterShop } from '@/core/demo/demoShop';
import { statusOf } from '@/core/plan/statusOf';
import { byName } from '@/core/shop/shop';
import type { StartingThings } from '@/data/seed';

/** What a shop starts with, as JSON: the generic blanks, presses and papers, or the whole demo shop on a given day with where its jobs stand. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams;
  if (query.get('demo') !== '1') return Response.json(starterShop());
  const asked = Number(query.get('today'));
  const today = Number.isFinite(asked) && asked > 0 && asked < 8.64e15 ? new Date(asked) : new Date();
  const start = demoShop(today);
  const shop = byName(start.shop);
  const things: StartingThings = {
    ...start,
    jobStatuses: Object.fromEntries(start.jobs.map((job) => [job.id, statusOf(job, shop)])),
  };
  return Response.json(things);
}
