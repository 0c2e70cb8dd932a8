import { SimulatedHand } from '@lettura/bench';
import type { FeedInfo, JobSheet, RecordingInfo } from '@lettura/contract';
import type { MachineState } from '@lettura/core/machine/places';
import { useEffect, useMemo, useState } from 'react';
import { useListFeedsQuery } from '../../app/api.ts';
import { benchSource, machineOf, useBenchJob } from '../bench/index.ts';
import { replaySource, serverSource, type LiveSource } from '../live/index.ts';
import { useSweepWorker } from '../sweeps/index.ts';
import { t } from '../../ui/words.ts';

export interface SourceChoice {
  id: string;
  words: string;
  simulated?: boolean;
}

const asChoice = ({ id, name, simulated }: FeedInfo): SourceChoice => ({
  id,
  words: simulated ? `${name} (simulated)` : name,
  simulated,
});

export interface Sources {
  choices: readonly SourceChoice[];
  chosen: string | undefined;
  source: LiveSource | undefined;
  /** The hand on the simulated machine, where that is the source. */
  hand: SimulatedHand | undefined;
}

const REST: MachineState = { engine: 'koeo', plug: 'connected' };
const replayId = ({ id }: Pick<RecordingInfo, 'id'>): string => t('ui-record.replay', { id });

/** Where live values can come from on this job: its simulated machine or the instruments, and its recordings. */
export function useSources(sheet: JobSheet, wanted: string | undefined): Sources {
  const { data: feeds } = useListFeedsQuery();
  const { recordings } = sheet;
  const practice = useBenchJob(sheet);
  const bench = useMemo(() => {
    if (!practice) return undefined;
    const hand = new SimulatedHand(REST);
    return { hand, source: benchSource(machineOf(practice), hand, practice.seed) };
  }, [practice]);
  const choices: SourceChoice[] = [
    // On a simulated machine the real instruments see nothing.
    ...(bench ? [{ id: 'bench', words: t('ui-record.logger-simulated-machine') }] : []),
    ...(bench ? [] : (feeds ?? []).filter(({ simulated }) => !simulated).map(asChoice)),
    ...recordings.map((one) => ({ id: replayId(one), words: t('ui-record.play-again', { name: one.name }) })),
    // Last, and never by itself: its values are not from this machine.
    ...(bench ? [] : (feeds ?? []).filter(({ simulated }) => simulated).map(asChoice)),
  ];
  const first = choices.find(({ simulated }) => !simulated);
  const chosen = choices.find(({ id }) => id === wanted)?.id ?? first?.id;
  const replay = useReplay(recordings.find((one) => replayId(one) === chosen));
  const live = useMemo(() => {
    const feed = feeds?.find(({ id }) => id === chosen);
    return feed && serverSource(feed);
  }, [feeds, chosen]);
  return {
    choices,
    chosen,
    source: chosen === 'bench' ? bench?.source : (live ?? replay),
    hand: chosen === 'bench' ? bench?.hand : undefined,
  };
}

function useReplay(info: RecordingInfo | undefined): LiveSource | undefined {
  const { ask } = useSweepWorker();
  const [ready, setReady] = useState<LiveSource>();
  const id = info?.id;
  useEffect(() => {
    if (id === undefined) return undefined;
    let current = true;
    void (async () => {
      const fetched = await ask('fetch', { id });
      const numbers = fetched.ok && (await ask('numbers', {}));
      if (!current || !fetched.ok || !numbers || !numbers.ok) return;
      const { name, channels } = fetched.value;
      setReady(replaySource({ id, name, recording: numbers.value, uses: channels.map(({ use }) => use) }));
    })();
    return () => {
      current = false;
    };
  }, [id, ask]);
  return info && ready?.id === replayId(info) ? ready : undefined;
}
