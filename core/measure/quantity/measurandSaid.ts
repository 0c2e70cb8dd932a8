import { say, type Message } from '../message/index.ts';
import type { Measurand } from './measurands.ts';

/** What a sensor reports, by name: `absolute pressure`. */
export const measurandSaid = (measurand: Measurand): Message => say(`measurand.${measurand}`);
