import { config, type core } from 'zod/mini';

/** What is wrong with a field, in shop words, where its schema says nothing better. */
function inWords(issue: core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? 'It is missing.' : 'It is the wrong kind of value.';
    case 'unrecognized_keys':
      return `It holds fields not known here: ${issue.keys.join(', ').slice(0, 80)}.`;
    case 'too_small':
      return `It is too small: at least ${String(issue.minimum)}.`;
    case 'too_big':
      return `It is too large: at most ${String(issue.maximum)}.`;
    case 'invalid_value':
      return `It must be one of ${issue.values.map(String).join(', ').slice(0, 120)}.`;
    default:
      return 'It cannot be read.';
  }
}

// Imported before any schema is built. `jitless`: a page's policy forbids making code from text, so Zod walks its schemas
// instead of compiling them.
config({ localeError: inWords, jitless: true });
