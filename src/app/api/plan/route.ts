import { withPages } from '@/core/plan/sheet/pages';
import { english } from '@/words/english';
import { written } from '@/words/written';
import { say } from '@/core/message/message';
import { NextResponse } from 'next/server';
import { ok, type Problem, type Result } from '@/core/basics/result';
import { readJobFile } from '@/core/formats/jobFile';
import { planAnswered } from '@/core/plan/planAnswered';

/** Job files with pictures inside stay under this; plans need no pictures. */
const MOST_BYTES = 64_000_000;
/** A file on this machine or its network arrives in seconds, and a plan takes two at most. */
const MOST_MS = 20_000;

const refused = (problem: Problem, status: number) =>
  NextResponse.json(written({ problem }, english.text), { status });

/** Whether a page of another origin asks. Programs that are no browser name no origin. */
function isForeign({ headers }: Request): boolean {
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') return true;
  const origin = headers.get('origin');
  const host = headers.get('host');
  if (origin === null) return false;
  return !URL.canParse(origin) || (host !== null && new URL(origin).host !== host);
}

const WHERE = say('common.jobFile');
const TOO_LARGE: Problem = {
  what: say('common.jobFileTooLarge'),
  where: WHERE,
  wayOut: say('common.sendWithoutPictures'),
};
const TOO_SLOW: Problem = {
  what: say('common.jobFileTooSlow'),
  where: WHERE,
  wayOut: say('common.sendAgain'),
};

/** The text of a body, its bytes counted as they come: what it says of its own length is no promise. */
async function bodyText(request: Request): Promise<Result<string>> {
  if (!request.body) return ok('');
  const reader = request.body.getReader();
  const late = new Promise<'late'>((resolve) => setTimeout(() => resolve('late'), MOST_MS).unref());
  const decoder = new TextDecoder();
  let text = '';
  let bytes = 0;
  for (;;) {
    const next = await Promise.race([reader.read(), late]);
    if (next === 'late') {
      void reader.cancel();
      return { ok: false, problem: TOO_SLOW };
    }
    if (next.done) return ok(text + decoder.decode());
    const chunk = next.value as Uint8Array;
    bytes += chunk.byteLength;
    if (bytes > MOST_BYTES) {
      void reader.cancel();
      return { ok: false, problem: TOO_LARGE };
    }
    text += decoder.decode(chunk, { stream: true });
  }
}

/** POST a job file, get its plan: the same core and the same numbers as the screens. */
export async function POST(request: Request): Promise<NextResponse> {
  if (isForeign(request))
    return refused(
      {
        what: say('common.plansMadeOtherSites'),
        where: say('common.origin'),
        wayOut: say('common.askFromMesaDrift'),
      },
      403,
    );
  if (Number(request.headers.get('content-length') ?? 0) > MOST_BYTES) return refused(TOO_LARGE, 413);
  const body = await bodyText(request);
  if (!body.ok) return refused(body.problem, body.problem === TOO_SLOW ? 408 : 413);
  const file = readJobFile(body.value);
  if (!file.ok) return refused(file.problem, 422);
  const until = Date.now() + MOST_MS;
  let over = false;
  const plan = planAnswered(file.value.job, file.value.shop, {}, () => {
    over ||= Date.now() > until;
    return !over;
  });
  if (over)
    return refused(
      {
        what: say('common.planTookTooLong'),
        where: say('common.jobFile'),
        wayOut: say('common.planFewerPiecesOnce'),
      },
      503,
    );
  return NextResponse.json(written(withPages(plan, english.text), english.text));
}
