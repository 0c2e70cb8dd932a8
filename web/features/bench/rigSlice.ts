import type { Attachment } from '@lettura/bench';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What is clipped on and held by hand at the simulated machine of one job; gone with the page, as after a day's work. */
export interface RigInHand {
  attachments: Attachment[];
  neighboursOff: number[];
  wiggled: boolean;
  /** The arm or pedal held somewhere between its stops. */
  positionPercent?: number | undefined;
}

const CLEAR: RigInHand = { attachments: [], neighboursOff: [], wiggled: false };
type RigState = Record<string, RigInHand>;

export const rigSlice = createSlice({
  name: 'rig',
  initialState: (): RigState => ({}),
  reducers: {
    rigChanged: (state, { payload }: PayloadAction<{ jobId: string; change: Partial<RigInHand> }>) => {
      state[payload.jobId] = { ...(state[payload.jobId] ?? CLEAR), ...payload.change };
    },
    rigCleared: (state, { payload: jobId }: PayloadAction<string>) => {
      delete state[jobId];
    },
  },
});
export const { rigChanged, rigCleared } = rigSlice.actions;

export const selectRig =
  (jobId: string) =>
  ({ rig }: { rig: RigState }): RigInHand =>
    rig[jobId] ?? CLEAR;

/** Whether anything stands that the sheet would not know of: a reading taken now would be recorded as if it were not. */
export const isClear = ({ attachments, neighboursOff, wiggled, positionPercent }: RigInHand): boolean =>
  attachments.length === 0 && neighboursOff.length === 0 && !wiggled && positionPercent === undefined;
