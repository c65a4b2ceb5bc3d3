import { config, type core } from 'zod/mini';
import { rule } from './rule';

/** What is wrong with a field, in shop words, where its schema says nothing better. */
function inWords(issue: core.$ZodRawIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined ? rule('fields.missing') : rule('fields.wrongKind');
    case 'unrecognized_keys':
      return rule('fields.unknownFields', { names: issue.keys.join(', ').slice(0, 80) });
    case 'too_small':
      return rule('fields.tooSmall', { least: String(issue.minimum) });
    case 'too_big':
      return rule('fields.tooLarge', { most: String(issue.maximum) });
    case 'invalid_value':
      return rule('fields.mustBeOneOf', { choices: issue.values.map(String).join(', ').slice(0, 120) });
    default:
      return rule('common.cannotBeRead');
  }
}

// Imported before any schema is built. `jitless`: a page's policy forbids making code from text, so Zod walks its schemas
// instead of compiling them.
config({ localeError: inWords, jitless: true });
