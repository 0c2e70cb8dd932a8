import type { Reading } from '@lettura/contract';
import {
  isPumpStepDoubtful,
  pumpStepSaid,
  readPumpSteps,
  type CaseFile,
  type ReadPumpPoint,
} from '@lettura/core/judge/checks';
import { expectedPulsesSaid } from '@lettura/core/judge/expectation';
import { isPulses, pumpSettingSaid, type Target } from '@lettura/core/machine/places';
import { say, verbatim } from '@lettura/core/measure/message';
import { measurandSaid, shownUnit, type PressureUnit } from '@lettura/core/measure/quantity';
import { COMMON_VACUUM_GAUGE } from '@lettura/core/measure/uncertainty';
import type { Content } from 'pdfmake/interfaces.js';
import { curvePicture } from '../pictures/curvePicture.ts';
import { heading, picture, rows } from './paper.ts';
import type { ReportFacts } from './reportFacts.ts';
import type { ReportWords } from './reportWords.ts';

/** The signal at a setting of the pump: it stands in the pump table, and needs no part of its own. */
export const isPumpStep = (one: Reading): boolean =>
  (one.kind === 'wire' || isPulses(one)) &&
  one.lane === 'signal' &&
  one.place === 'plug' &&
  one.state.plug === 'connected' &&
  one.state.stimulus?.kind === 'pump';

/** What was read at each setting of the pump since the last work, as a table and beside the curve. */
export function pumpTable({ caseFile }: ReportFacts, words: ReportWords, unit: PressureUnit): Content[] {
  const { say: said, record } = words;
  const { profile, ambient } = caseFile;
  const points = readPumpSteps(caseFile, COMMON_VACUUM_GAUGE);
  if (points.length === 0) return [];
  const drawn = points.flatMap((point) =>
    point.reading.kind === 'wire' ? [{ point, volts: point.reading.volts }] : [],
  );
  const zero = profile.measures === 'absolute-pressure' ? ambient?.pressureKpaAbs : 0;
  return [
    heading(said(say('ui-report.pump-steps'))),
    ...rows(
      (
        ['ui-report.pump-setting', 'ui-report.expected', 'ui-sheet.value', 'ui-report.step-agreed'] as const
      ).map((code) => said(say(code))),
      points.map((point) => stepRow(point, caseFile, words)),
      ['*', 90, 60, 160],
    ),
    // What is counted has no place on a curve of volts.
    ...(zero === undefined || drawn.length === 0
      ? []
      : [
          picture(
            curvePicture(
              profile,
              drawn.map(({ point, volts }) => ({
                value: zero + point.kpaAboveAmbient,
                volts,
                isOff: isPumpStepDoubtful(point),
              })),
              unit,
              {
                described: said(say('ui-report.curve-and-steps', { count: drawn.length })),
                value: said(
                  say('ui-report.value-axis', {
                    measurand: measurandSaid(profile.measures),
                    unit: verbatim(shownUnit(profile.measures, unit)),
                  }),
                ),
                volts: said(say('ui-report.signal-volts')),
              },
            ),
          ),
        ]),
  ];

  function stepRow(
    { kpaAboveAmbient, reading, expected, counts, judged }: ReadPumpPoint,
    of: CaseFile,
    by: ReportWords,
  ): string[] {
    const target: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
    return [
      by.say(pumpSettingSaid(kpaAboveAmbient)),
      expected
        ? record.expectation(expected, target, of.ambient)
        : counts
          ? by.say(expectedPulsesSaid(counts))
          : '',
      record.value(reading),
      judged ? by.say(pumpStepSaid(judged, profile.measures)) : '',
    ];
  }
}
