import { FIXED_UNITS, say, verbatim, type Message, type Value } from '@lettura/core/measure/message';
import { MEASURAND_NAMES, PRESSURE_UNITS } from '@lettura/core/measure/quantity';
import { z } from 'zod';
import { plainText } from './text.ts';

const code = z.string().regex(/^[a-z0-9.-]{1,100}$/u);
const LONGEST_NAME = 40;
const LONGEST_TEXT = 2000;
const MOST_IN_A_LIST = 100;
const amount = z.number();

const quantity = z.union([
  z.strictObject({ volts: amount }),
  z.strictObject({ ohms: amount }),
  z.strictObject({ kpa: amount, as: z.enum(['fine', 'vacuum']).optional() }),
  z.strictObject({
    value: amount,
    measures: z.enum(MEASURAND_NAMES),
    as: z.enum(['fine', 'with-basis']).optional(),
  }),
  z.strictObject({ times: amount }),
  z.strictObject({
    fixed: amount,
    decimals: z.int().min(0).max(9),
    unit: z.enum(FIXED_UNITS).optional(),
  }),
  z.strictObject({ plain: amount, unit: z.enum(FIXED_UNITS).optional() }),
  z.strictObject({ kpaIn: amount, unit: z.enum(PRESSURE_UNITS) }),
]);

const value: z.ZodType<Value, Value> = z.lazy(() =>
  z.union([
    z.number(),
    z.boolean(),
    z.string().max(LONGEST_NAME),
    message,
    quantity,
    z.strictObject({ verbatim: plainText(LONGEST_TEXT) }),
    z.strictObject({
      list: z.array(value).max(MOST_IN_A_LIST),
      joined: z.enum(['commas', 'and', 'or', 'semicolons', 'sentences']),
    }),
  ]),
);

/** Something said as a code and its values; `words/` has the words. */
export const message: z.ZodType<Message, Message> = z.lazy(() =>
  z.strictObject({ code, values: z.record(z.string().max(LONGEST_NAME), value).optional() }),
) as z.ZodType<Message, Message>;

/** What an earlier version of this program said in words of its own, where nobody knows any more what it stands for. */
export const saidAtTheTime = (text: string): Message => say('say.at-the-time', { text: verbatim(text) });
