/// <reference lib="webworker" />
import { weighInStages } from '@lettura/core/judge/weighing';
import type { WeighingQuestion, WeighingReply, WeighingStop } from './weighingMessages.ts';

declare const self: DedicatedWorkerGlobalScope;

/** So long at a stretch, then whoever asks anew is heard. */
const STRETCH_MS = 25;
let newest = 0;

self.addEventListener('message', ({ data }: MessageEvent<WeighingQuestion | WeighingStop>) => {
  newest = data.number;
  if ('caseFile' in data) void weigh(data);
});

async function weigh({ number, caseFile, wires, whatIf }: WeighingQuestion): Promise<void> {
  let stretchEnds = performance.now() + STRETCH_MS;
  for (const weighing of weighInStages(caseFile, wires, whatIf)) {
    if (weighing) self.postMessage({ number, weighing } satisfies WeighingReply);
    if (performance.now() < stretchEnds) continue;
    await new Promise((resolve) => setTimeout(resolve));
    if (newest !== number) return;
    stretchEnds = performance.now() + STRETCH_MS;
  }
}
