import { measured, say, volts } from '../../measure/message/index.ts';
import { latestWire, type ScanReading } from '../../record/evidence/index.ts';
import { sameState } from '../../machine/places/index.ts';
import { isSent } from '../../measure/transfer/index.ts';
import type { CaseFile } from './caseFile.ts';
import type { Remark } from './finding.ts';
import { signalAtRail } from './signalAtRail.ts';

/** The average of a line that goes to and fro moves less than this, whatever it says. */
const STAYS_VOLTS = 0.1;

/**
 * Live data that moves while the voltage stays: the line may carry telegrams, and a meter sees their average. Fed with a
 * voltage, such a line sets a second code (common practice).
 */
export function digitalLine(caseFile: CaseFile): Remark[] {
  const { readings, profile } = caseFile;
  if (isSent(profile)) return [];
  const seen = readings
    .filter(
      (reading): reading is ScanReading => reading.kind === 'scan' && reading.measures === profile.measures,
    )
    .flatMap((scan) => {
      const signal = latestWire(readings, 'signal', 'plug', (state) => sameState(state, scan.state));
      return signal && scan.state.plug === 'connected' && !signalAtRail(signal, caseFile)
        ? [{ scan, signal }]
        : [];
    });
  for (const [i, one] of seen.entries())
    for (const other of seen.slice(i + 1)) {
      const moved = Math.abs(one.scan.value - other.scan.value);
      const voltsMoved = Math.abs(one.signal.volts - other.signal.volts);
      if (moved <= 2 * profile.differenceThatMatters || voltsMoved > STAYS_VOLTS) continue;
      const show = (value: number) => measured(value, profile.measures);
      return [
        {
          sentence: say('checks.live-data-moves-while-signal', {
            first: show(one.scan.value),
            second: show(other.scan.value),
            volts: volts(one.signal.volts),
          }),
          readingIds: [one.scan.id, one.signal.id, other.scan.id, other.signal.id],
        },
      ];
    }
  return [];
}
