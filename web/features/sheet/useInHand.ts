import { shallowEqual, useSelector } from 'react-redux';
import { selectInHand, type InHand } from './sheetSlice.ts';

type SheetStore = Parameters<ReturnType<typeof selectInHand>>[0];

/** What is in hand, without what is being typed: a key typed need not draw the whole sheet anew. */
export const useInHand = (jobId: string): Omit<InHand, 'draft'> =>
  useSelector((store: SheetStore) => {
    const { draft: _draft, ...others } = selectInHand(jobId)(store);
    return others;
  }, shallowEqual);

/** What is being typed; for those alone who show it. */
export const useDraft = (jobId: string): string =>
  useSelector((store: SheetStore) => selectInHand(jobId)(store).draft);
