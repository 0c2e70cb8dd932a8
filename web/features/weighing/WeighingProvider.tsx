import type { Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { WhatIf } from '@lettura/core/judge/weighing';
import { createContext, use, useMemo, type ReactNode } from 'react';
import { useWeighing, type Weighed } from './useWeighing.ts';

/** Whether something newer is known than what is drawn and weighed. */
export const NewerIsKnown = createContext(false);

const WeighedContext = createContext<Pick<Weighed, 'weighing'>>({ weighing: undefined });
const SettledContext = createContext(false);

export interface WeighingProviderProps {
  caseFile: CaseFile;
  wires: readonly Lane[];
  whatIf: WhatIf;
  children: ReactNode;
}

/** Weighs for all below it. Its answers come in stages, and each draws anew only those who ask for them. */
export function WeighingProvider({ caseFile, wires, whatIf, children }: WeighingProviderProps) {
  const { weighing, settled } = useWeighing(caseFile, wires, whatIf);
  const isNewest = !use(NewerIsKnown);
  return (
    <WeighedContext value={useMemo(() => ({ weighing }), [weighing])}>
      <SettledContext value={settled && isNewest}>{children}</SettledContext>
    </WeighedContext>
  );
}

/** What is known of the weighing; of an earlier record while the newest is being weighed. */
export const useWeighed = (): Pick<Weighed, 'weighing'> => use(WeighedContext);

/** Whether that is of the newest record, and complete. */
export const useIsSettled = (): boolean => use(SettledContext);
