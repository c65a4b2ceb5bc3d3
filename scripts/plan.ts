// Prints the plan of a job file as JSON: npm run -s plan -- job.json
import { readFileSync } from 'node:fs';
import { readJobFile } from '../src/core/formats/jobFile';
import { planAnswered } from '../src/core/plan/planAnswered';
import { problemMessage } from '../src/core/basics/result';
import { withPages } from '../src/core/plan/sheet/pages';
import { english } from '../src/words/english';
import { written } from '../src/words/written';

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
  process.stderr.write(`${english.text(problemMessage(file.problem))}\n`);
  process.exit(1);
}
const plan = withPages(planAnswered(file.value.job, file.value.shop), english.text);
process.stdout.write(`${JSON.stringify(written(plan, english.text))}\n`);
