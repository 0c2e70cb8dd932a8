import type { Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import type { WhatIf } from '@lettura/core/judge/weighing';
import { createContext, use, type ReactNode } from 'react';
import { useWeighing, type Weighed } from './useWeighing.ts';

const WeighedContext = createContext<Weighed>({ weighing: undefined, settled: false });

export interface WeighingProviderProps {
  caseFile: CaseFile;
  wires: readonly Lane[];
  whatIf: WhatIf;
  children: ReactNode;
}

/** Weighs for all below it. Its answers come in stages, and each draws anew only those who ask for them. */
export function WeighingProvider({ caseFile, wires, whatIf, children }: WeighingProviderProps) {
  return <WeighedContext value={useWeighing(caseFile, wires, whatIf)}>{children}</WeighedContext>;
}

export const useWeighed = (): Weighed => use(WeighedContext);
