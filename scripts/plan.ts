// Prints the plan of a job file as JSON: npm run -s plan -- job.json
import { readFileSync } from 'node:fs';
import { readJobFile } from '../src/core/formats/jobFile';
import { planAnswered } from '../src/core/plan/planAnswered';
import { problemText } from '../src/core/basics/result';

function text(path: string | undefined): string | null {
  if (path === undefined) return null;
  try {
    return readFileSync(path, 'utf8');
  } catch {
    return null;
  }
}

const path = process.argv[2];
const body = text(path);
if (body === null) {
  process.stderr.write(
    path === undefined ? 'Usage: npm run -s plan -- job.json\n' : `${path}: cannot be read.\n`,
  );
  process.exit(2);
}
const file = readJobFile(body);
if (!file.ok) {
  process.stderr.write(`${problemText(file.problem)}\n`);
  process.exit(1);
}
process.stdout.write(`${JSON.stringify(planAnswered(file.value.job, file.value.shop))}\n`);
