import type { Lane, MachineState, ProbePoint, Target } from '@lettura/core/machine/places';
import type { Problem } from '@lettura/core/measure/problem';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { ReactNode } from 'react';
import type { Units } from '../../ui/units.ts';

export interface IsolatePanelProps {
  caseFile: CaseFile;
  lanes: readonly Lane[];
  state: MachineState;
  units: Units;
  /** The simulated instrument at the point in hand, where the machine is simulated. */
  instrument: ReactNode;
  /** Brings the machine into a state, and the quick entry to a point. */
  onGo: (target: Target, state: MachineState) => void;
  /** Records a value between two points; what is refused comes back with what to do. */
  onBetween: (
    kind: 'between' | 'ohms',
    points: readonly [ProbePoint, ProbePoint],
    state: MachineState,
    text: string,
  ) => Problem | undefined;
}
