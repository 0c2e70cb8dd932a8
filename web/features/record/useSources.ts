import { SimulatedHand } from '@lettura/bench';
import type { FeedInfo, JobSheet, RecordingInfo } from '@lettura/contract';
import type { MachineState } from '@lettura/core/machine/places';
import { familyOf } from '@lettura/core/machine/family';
import { LIVE_ITEM_IDS } from '@lettura/core/machine/live';
import { useEffect, useMemo, useState } from 'react';
import { useListFeedsQuery } from '../../app/api.ts';
import { benchSource, machineOf, useBenchJob } from '../bench/index.ts';
import { replaySource, serverSource, togetherSource, type LiveSource, type Part } from '../live/index.ts';
import { usesOf, useSweepWorker } from '../sweeps/index.ts';
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
    ...(bench ? [] : togetherChoice(feeds ?? [], sheet.sensor, TOGETHER)),
    ...recordings.map((one) => ({ id: replayId(one), words: t('ui-record.play-again', { name: one.name }) })),
    // Last, and never by itself: its values are not from this machine.
    ...(bench ? [] : (feeds ?? []).filter(({ simulated }) => simulated).map(asChoice)),
    ...(bench ? [] : togetherChoice(feeds ?? [], sheet.sensor, TOGETHER_SIMULATED)),
  ];
  const first = choices.find(({ simulated }) => !simulated);
  const chosen = choices.find(({ id }) => id === wanted)?.id ?? first?.id;
  const replay = useReplay(recordings.find((one) => replayId(one) === chosen));
  const live = useMemo(() => {
    const feed = feeds?.find(({ id }) => id === chosen);
    if (feed) return serverSource(feed);
    return chosen === undefined ? undefined : allTogether(feeds ?? [], sheet.sensor, chosen);
  }, [feeds, chosen, sheet.sensor]);
  return {
    choices,
    chosen,
    source: chosen === 'bench' ? bench?.source : (live ?? replay),
    hand: chosen === 'bench' ? bench?.hand : undefined,
  };
}

/** All instruments at once; of the stand-ins apart from the real ones. */
const TOGETHER = 'together';
const TOGETHER_SIMULATED = 'together simulated';
/** As many as a recording has. */
const MOST_CHANNELS = 16;

/** Meters with all their leads, and of the live data the one item that the sensor is read as; undefined where there is one alone. */
function allTogether(
  feeds: readonly FeedInfo[],
  { family, companion }: JobSheet['sensor'],
  id: string,
): LiveSource | undefined {
  const item = familyOf(family).liveItem;
  const of = feeds.filter(({ simulated }) => simulated === (id === TOGETHER_SIMULATED));
  const parts = [...of]
    .sort((a, b) => Number(a.kind === 'live-data') - Number(b.kind === 'live-data'))
    .flatMap((feed): Part[] => {
      const channels =
        feed.kind === 'meter'
          ? [...feed.channels.keys()]
          : item === undefined
            ? []
            : [LIVE_ITEM_IDS.indexOf(item)];
      return channels.length > 0 ? [{ source: serverSource(feed), channels }] : [];
    });
  const [leader, ...others] = parts;
  const all = parts.reduce((sum, { channels }) => sum + channels.length, 0);
  if (!leader || others.length === 0 || all > MOST_CHANNELS) return undefined;
  const name = t('ui-record.together', { count: parts.length });
  const source = togetherSource(id, name, leader, others);
  const wires = of.filter(({ kind }) => kind === 'meter').flatMap(({ channels }) => channels);
  return {
    ...source,
    uses: [...usesOf(wires, companion), ...source.channels.slice(wires.length).map(() => 'live' as const)],
  };
}

function togetherChoice(feeds: readonly FeedInfo[], sensor: JobSheet['sensor'], id: string): SourceChoice[] {
  const source = allTogether(feeds, sensor, id);
  if (!source) return [];
  const simulated = source.simulated === true;
  return [{ id, words: simulated ? `${source.name} (simulated)` : source.name, simulated }];
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
