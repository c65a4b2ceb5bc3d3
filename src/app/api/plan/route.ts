import { NextResponse } from 'next/server';
import { readJobFile } from '@/core/formats/jobFile';
import { planAnswered } from '@/core/plan/planAnswered';

/** Job files with pictures inside stay under this; plans need no pictures. */
const MOST_BYTES = 64_000_000;

/** POST a job file, get its plan: the same core and the same numbers as the screens. */
export async function POST(request: Request): Promise<NextResponse> {
  const length = Number(request.headers.get('content-length') ?? 0);
  if (length > MOST_BYTES) {
    const problem = {
      what: 'The job file is too large.',
      where: 'Job file',
      wayOut: 'Send it without its pictures.',
    };
    return NextResponse.json({ problem }, { status: 413 });
  }
  const file = readJobFile(await request.text());
  if (!file.ok) return NextResponse.json({ problem: file.problem }, { status: 422 });
  return NextResponse.json(planAnswered(file.value.job, file.value.shop));
}
