import { looksRight } from '@lettura/bench';
import { isOnSensor, type MachineState, type Target } from '@lettura/core/machine/places';
import type { NextReading } from '@lettura/core/judge/weighing';
import { useState } from 'react';
import { useDispatch } from 'react-redux';
import { useNavigate } from 'react-router';
import { machineOf, type MeterSet } from '../bench/index.ts';
import type { Section } from './sections.ts';
import { stateSet } from './sheetSlice.ts';
import type { EntryActions } from './useEntry.ts';
import type { Sheet } from './useSheet.ts';

interface Ways {
  entry: EntryActions;
  /** Brings state and point into hand. */
  bring: (target: Target, state: MachineState) => void;
  show: (section: Section) => void;
  setSearch: (search: Record<string, string>, options: { replace: boolean }) => void;
}

/** Goes where a reading is taken, whatever sort it is of; and where the probes of the simulated meter are wanted then. */
export function useGoTo(
  { job, bench }: Sheet,
  { entry, bring, show, setSearch }: Ways,
): { goTo: (next: NextReading) => void; probes: MeterSet | undefined } {
  const [probes, setProbes] = useState<MeterSet>();
  const navigate = useNavigate();
  const dispatch = useDispatch();
  const goTo = ({ target, state }: NextReading) => {
    switch (target.kind) {
      case 'sweep':
        void navigate(`/jobs/${job.id}/sweeps/record`);
        return;
      case 'capture':
        show('sweeps');
        return;
      case 'observation': {
        // On a real machine the technician looks, and answers in the panel itself.
        const machine = bench && machineOf(bench);
        if (machine) entry.enterObservation(target.observation, looksRight(machine, target.observation));
        return;
      }
      case 'between':
      case 'ohms': {
        dispatch(stateSet({ jobId: job.id, stimulus: undefined, harness: undefined, ...state }));
        if (job.bench) {
          setProbes({ mode: target.kind === 'ohms' ? 'ohms' : 'volts', red: target.from, black: target.to });
          show('bench');
          return;
        }
        const wire = typeof target.from === 'string' ? 'signal' : target.from.lane;
        const isAcrossPins =
          (target.kind === 'ohms' && target.to !== 'battery-negative') || isOnSensor(state.harness);
        const part = isAcrossPins ? 'sensor' : 'wires';
        setSearch({ section: 'isolate', part, wire }, { replace: true });
        return;
      }
      case 'engine-flow':
        dispatch(stateSet({ jobId: job.id, stimulus: undefined, harness: undefined, ...state }));
        show('compare');
        return;
      case 'frequency':
      case 'duty':
        bring({ ...target, kind: 'wire' }, state);
        show('reading');
        return;
      case 'wire':
      case 'gauge':
      case 'scan':
      case 'live-volts':
        bring(target, state);
        show('reading');
    }
  };
  return { goTo, probes };
}
