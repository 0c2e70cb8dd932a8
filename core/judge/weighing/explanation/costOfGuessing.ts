/** Money in whatever currency the workshop counts in. */
export interface Guess {
  /** 0 to 1: that the part is at fault. */
  share: number;
  partCost: number;
  hourCost: number;
  fittingMinutes: number;
  /** Of the next reading. */
  readingMinutes: number;
}

export interface CostOfGuessing {
  /** What is lost on average by fitting the part now: part and labour, as often as it was not the part. */
  lostByGuessing: number;
  readingCost: number;
  /** The reading costs less than the guess. */
  readFirst: boolean;
}

/** Fitting the part now against one more reading before it. */
export function costOfGuessing({
  share,
  partCost,
  hourCost,
  fittingMinutes,
  readingMinutes,
}: Guess): CostOfGuessing {
  const lostByGuessing = (1 - share) * (partCost + (hourCost * fittingMinutes) / 60);
  const readingCost = (hourCost * readingMinutes) / 60;
  return { lostByGuessing, readingCost, readFirst: readingCost < lostByGuessing };
}
