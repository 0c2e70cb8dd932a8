import { say, type Message } from '../../../measure/message/index.ts';
import { sentIn } from '../../../measure/transfer/index.ts';
import { lineSeen, type CaseFile } from '../../checks/index.ts';

/** What a fast capture showed of the line, as a reason for or against a cause. */
export function lineSaid(caseFile: Pick<CaseFile, 'sweeps' | 'isolation' | 'profile'>): Message {
  const seen = lineSeen(caseFile);
  const isAsSent = seen === sentIn(caseFile.profile);
  switch (seen) {
    case 'telegrams':
      return isAsSent ? say('weighing.telegrams-arrive-as-sent') : say('weighing.telegrams-arrive');
    case 'pulses':
      return isAsSent ? say('weighing.pulses-arrive-as-sent') : say('weighing.pulses-arrive');
    case 'garbled':
      return say('weighing.line-is-garbled');
    case 'line-held':
    case undefined:
      return say('weighing.line-stands');
  }
}
