import { z } from 'zod';

type Issue = z.core.$ZodRawIssue;

const SHOULD_BE: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'a group of named entries',
  record: 'a group of named entries',
  date: 'a date',
};
const WRITTEN_AS: Record<string, string> = {
  datetime: 'a date with its time and zone, such as 2026-03-02T09:00:00Z',
  date: 'a date, such as 2026-03-02',
  uuid: 'a UUID',
  base64: 'base64',
  url: 'a web address',
};
/** More are not worth reading. */
const MOST_NAMED = 12;

/** What is wrong, as one would say it: where a schema says nothing of its own, no validator's text reaches a person. */
export function plainMessage(issue: Issue): string {
  switch (issue.code) {
    case 'invalid_type': {
      if (issue.input === undefined) return 'This is missing.';
      const wanted = SHOULD_BE[issue.expected];
      return wanted ? `This should be ${wanted}.` : 'This is not as it should be.';
    }
    case 'too_big':
      return limit('at most', issue.maximum, issue.origin);
    case 'too_small':
      return issue.origin === 'string' && issue.minimum === 1
        ? 'This is empty.'
        : limit('at least', issue.minimum, issue.origin);
    case 'invalid_format': {
      const wanted = WRITTEN_AS[issue.format];
      return wanted ? `This should be ${wanted}.` : 'This is not written as it should be.';
    }
    case 'invalid_value':
      return `This should be ${listed(issue.values.map(String), 'or')}.`;
    case 'unrecognized_keys':
      return `There is nothing called ${listed(issue.keys, 'or')} here: take it out, or correct its name.`;
    case 'invalid_union':
      return 'This has none of the forms that are possible here.';
    case 'custom':
    case 'invalid_element':
    case 'invalid_key':
    case 'not_multiple_of':
      return 'This is not as it should be.';
  }
}

const COUNTED: Record<string, string> = {
  string: ' characters long',
  array: ' entries long',
  set: ' entries long',
  file: ' bytes long',
};
const limit = (bound: string, size: number | bigint, origin: string): string =>
  `This should be ${bound} ${size.toLocaleString('en')}${COUNTED[origin] ?? ''}.`;

function listed(names: readonly string[], word: 'or'): string {
  const told = names.slice(0, MOST_NAMED).map((name) => `“${name}”`);
  const rest = names.length - told.length;
  if (rest > 0) return `${told.join(', ')} ${word} ${rest} more`;
  return told.length > 1
    ? `${told.slice(0, -1).join(', ')} ${word} ${told.at(-1)}`
    : (told[0] ?? 'something');
}

z.config({ customError: plainMessage });
