import { plain, say } from '@lettura/core/measure/message';
import { expect, test } from 'vitest';
import { Pace } from './pace.ts';

/** Three seconds in which each answer takes so long, and the next question comes so much later. */
function after(answerMs: number, pauseMs: number, pace = new Pace(200)): Pace {
  for (let at = 0; at < 3000; at += answerMs + pauseMs) pace.count(at, at + answerMs);
  return pace;
}

test('what keeps up is not remarked on', () => {
  expect(after(1, 4).remark).toBeUndefined();
  expect(after(1, 5.5).remark).toBeUndefined();
});

test('46 of 200 samples: slow answers and a busy server are two things', () => {
  expect(after(21, 0.74).remark).toEqual(
    say('feed.answers-slowly', { got: plain(46), asked: plain(200), each: plain(21, 'ms') }),
  );
  expect(after(1, 20.74).remark).toEqual(say('feed.asked-late', { got: plain(46), asked: plain(200) }));
});

test('once it keeps up again, the remark goes', () => {
  const pace = after(21, 0);
  expect(pace.remark).toBeDefined();
  for (let at = 3000; at < 8000; at += 5) pace.count(at, at + 1);
  expect(pace.remark).toBeUndefined();
});
