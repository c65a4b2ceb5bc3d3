import { demoShop, starterShop } from '@/core/demo/demoShop';

/** What a shop starts with, as JSON: the generic blanks, presses and papers, or the whole demo shop on a given day. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams;
  if (query.get('demo') !== '1') return Response.json(starterShop());
  const asked = Number(query.get('today'));
  const today = Number.isFinite(asked) && asked > 0 && asked < 8.64e15 ? new Date(asked) : new Date();
  return Response.json(demoShop(today));
}
