import type { Message } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import { problemSaid } from '@lettura/core/measure/problem';
import { useSelector } from 'react-redux';
import { selectUnits } from '../app/preferences.ts';
import { wordsIn } from './words.ts';

/** A message in the words and units of whoever reads, and again in theirs once they choose others. */
export function Said({ message, title = false }: { message: Message; title?: boolean }) {
  const words = wordsIn(useSelector(selectUnits));
  return title ? words.title(message) : words.say(message);
}

/** What is wrong, and what to do. */
export const SaidProblem = ({ problem }: { problem: Pick<Problem, 'message' | 'next'> }) => (
  <Said message={problemSaid(problem)} />
);
