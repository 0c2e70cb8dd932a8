import { list, say, verbatim, type Message } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';

type Issue = z.core.$ZodRawIssue;

const SHOULD_BE: Record<string, Message> = {
  string: say('refusal.should-be-text'),
  number: say('refusal.should-be-number'),
  int: say('refusal.should-be-whole-number'),
  boolean: say('refusal.should-be-true-or-false'),
  array: say('refusal.should-be-list'),
  tuple: say('refusal.should-be-list'),
  object: say('refusal.should-be-group'),
  record: say('refusal.should-be-group'),
  date: say('refusal.should-be-date'),
};
const WRITTEN_AS: Record<string, Message> = {
  datetime: say('refusal.written-as-moment'),
  date: say('refusal.written-as-date'),
  uuid: say('refusal.written-as-uuid'),
  base64: say('refusal.written-as-base64'),
  url: say('refusal.written-as-url'),
};
const NOT_AS_IT_SHOULD_BE = say('refusal.not-as-it-should-be');
/** More are not worth reading. */
const MOST_NAMED = 12;
const LONGEST_NAME = 60;

/** What is wrong, as one would say it: where a schema says nothing of its own, no validator's text reaches a person. */
function plainMessage(issue: Issue): Message {
  switch (issue.code) {
    case 'invalid_type':
      if (issue.input === undefined) return say('refusal.missing');
      return SHOULD_BE[issue.expected] ?? NOT_AS_IT_SHOULD_BE;
    case 'too_big':
      return say('refusal.at-most', sized(issue.maximum, issue.origin));
    case 'too_small':
      return issue.origin === 'string' && issue.minimum === 1
        ? say('refusal.empty')
        : say('refusal.at-least', sized(issue.minimum, issue.origin));
    case 'invalid_format':
      return WRITTEN_AS[issue.format] ?? say('refusal.written-wrongly');
    case 'invalid_value':
      return say('refusal.one-of', named(issue.values.map(String)));
    case 'unrecognized_keys':
      return say('refusal.nothing-called', named(issue.keys));
    case 'invalid_union':
      return say('refusal.none-of-the-forms');
    case 'custom':
    case 'invalid_element':
    case 'invalid_key':
    case 'not_multiple_of':
      return NOT_AS_IT_SHOULD_BE;
  }
}

type Counted = 'characters' | 'entries' | 'bytes' | 'none';
const COUNTED: Record<string, Counted> = {
  string: 'characters',
  array: 'entries',
  set: 'entries',
  file: 'bytes',
};

const sized = (size: number | bigint, origin: string) => ({
  size: Number(size),
  counted: COUNTED[origin] ?? 'none',
});

/** The first few by name, and how many more there are. */
const named = (names: readonly string[]) => ({
  names: list(
    names
      .slice(0, MOST_NAMED)
      .map((name) => say('refusal.quoted', { name: verbatim(name.slice(0, LONGEST_NAME)) })),
    names.length > MOST_NAMED ? 'commas' : 'or',
  ),
  more: Math.max(0, names.length - MOST_NAMED),
});

z.config({ customError: (issue) => refusal(plainMessage(issue)) });
