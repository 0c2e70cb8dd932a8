import type { Envelope } from '@lettura/core/recording/sweep';
import { useEffect, useState } from 'react';
import type { Beside } from './BesideChoice.tsx';
import { useSweepWorker } from './useSweepWorker.ts';
import type { View } from './useView.ts';

/** The same stretch of another recording, in a worker of its own; undefined while there is none. */
export function useBeside(
  { id: recordingId, laterSeconds }: Pick<Beside, 'id' | 'laterSeconds'>,
  channelCount: number,
  view: View,
  columns: number,
): Envelope[] | undefined {
  const { ask } = useSweepWorker();
  const fromSeconds = view.fromSeconds + laterSeconds;
  const toSeconds = view.toSeconds + laterSeconds;
  const [heldId, setHeldId] = useState('');
  const [found, setFound] = useState<{ id: string; envelopes: Envelope[] }>();
  useEffect(() => {
    if (recordingId === '') return;
    void ask('fetch', { id: recordingId }).then((fetched) => {
      if (fetched.ok) setHeldId(fetched.value.id);
    });
  }, [recordingId, ask]);
  useEffect(() => {
    if (heldId === '' || heldId !== recordingId) return undefined;
    let current = true;
    const channels = Array.from({ length: channelCount }, (_, i) => i);
    void ask('envelope', { channels, fromSeconds, toSeconds, columns }).then((answer) => {
      if (current && answer.ok) setFound({ id: heldId, envelopes: answer.value });
    });
    return () => {
      current = false;
    };
  }, [heldId, recordingId, channelCount, fromSeconds, toSeconds, columns, ask]);
  return found?.id === recordingId ? found.envelopes : undefined;
}
