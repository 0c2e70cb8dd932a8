import { indexAt, type Recording } from '@lettura/core/recording/sweep';
import type { ChannelUse } from '@lettura/core/recording/sweep';
import type { LiveSource } from './liveSource.ts';
import { pacedSource } from './pacedSource.ts';
import { t } from '../../ui/words.ts';

export interface Replayed {
  id: string;
  name: string;
  recording: Recording;
  uses: readonly ChannelUse[];
}

/** A recording played again at its own pace, gaps and all. */
export const replaySource = ({ id, name, recording: { seconds, channels }, uses }: Replayed): LiveSource =>
  pacedSource(
    {
      id: t('ui-live.replay', { id }),
      name,
      channels: channels.map(({ name: of, unit }) => ({ name: of, unit })),
      uses,
    },
    () => {
      let given = 0;
      return (until) => {
        if (given >= seconds.length) return undefined;
        const to = indexAt(seconds, until);
        const from = given;
        given = Math.max(from, to);
        return Array.from({ length: given - from }, (_, i) => ({
          seconds: seconds[from + i]!,
          values: channels.map(({ values }) => {
            const value = values[from + i]!;
            return Number.isNaN(value) ? null : value;
          }),
        }));
      };
    },
  );
