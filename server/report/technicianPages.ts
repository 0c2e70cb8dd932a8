import {
  isMended,
  isWithdrawn,
  lanesOf,
  lastEpisode,
  standingReadings,
  type Instrument,
  type JobSheet,
  type Reading,
} from '@lettura/contract';
import { cautionsFor, LOOM_CAUTION } from '@lettura/core/judge/cautions';
import { comparisonsIn, findingsIn, pairSaid, sourceSaid } from '@lettura/core/judge/checks';
import type { Fit } from '@lettura/core/judge/expectation';
import { startingInWords } from '@lettura/core/judge/priors';
import {
  isLiveData,
  isPulses,
  isTarget,
  laneSaid,
  PLACES,
  placeSaid,
  sameState,
  type MachineState,
  type Target,
} from '@lettura/core/machine/places';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { list, say, verbatim, withoutRepeats } from '@lettura/core/measure/message';
import { day } from '@lettura/words';
import type { Content } from 'pdfmake/interfaces.js';
import { bullets, heading, paragraph, picture, rows, upperFirst, type Cell } from './paper.ts';
import { isPumpStep, pumpTable } from './pumpTable.ts';
import type { ReportAsked } from './reportAsked.ts';
import type { ReportFacts } from './reportFacts.ts';
import type { ReportWords } from './reportWords.ts';

const SIGNS: Record<Fit, string> = {
  'as-expected': '✓',
  'at-the-edge': '≈',
  'beside-the-rule': '≈',
  below: '▼',
  above: '▲',
};
const GATE_SIGNS = { proven: '✓', missing: '○', refuted: '✕' } as const;

/** Page two and on: everything that was read and what it says, for whoever works on the machine next. */
export function technicianPages(
  sheet: JobSheet,
  facts: ReportFacts,
  pictures: ReportAsked['pictures'],
  words: ReportWords,
  unit: PressureUnit,
): Content[] {
  const parts: Content[] = [
    ...circumstances(sheet, facts, words),
    ...verdictsInOrder(sheet, words),
    ...beforeAndAfter(facts, words),
    ...whatReadingsSay(facts, words),
    ...byState(sheet, facts, words),
    ...pumpTable(facts, words, unit),
    ...recordings(sheet, pictures, words),
    ...instruments(sheet, words),
    ...allReadings(sheet, words),
    paragraph(words.say(say('ui-report.voltages-against-battery-negative-doubts'))),
    ...cautionsOf(sheet, words),
  ];
  return [
    { text: words.say(say('ui-report.for-next-technician')), style: 'title', pageBreak: 'before' },
    ...parts,
  ];
}

function circumstances(
  { job, sensor }: JobSheet,
  { caseFile }: ReportFacts,
  { say: said, dayAndTime }: ReportWords,
): Content[] {
  const starting = startingInWords(caseFile.starting);
  return [
    ...(job.history === ''
      ? []
      : [paragraph(said(say('ui-report.before', { history: verbatim(job.history) })))]),
    paragraph(
      said(
        say('ui-report.sensor-is', {
          name: verbatim(sensor.name),
          version: verbatim(String(sensor.version)),
          source: verbatim(sensor.source),
        }),
      ),
    ),
    ...(job.formerly ?? []).map(({ until, what, name }) =>
      paragraph(
        said(say(`ui-jobs.formerly-${what}`, { when: verbatim(dayAndTime(until)), name: verbatim(name) })),
      ),
    ),
    ...(starting.length === 0
      ? []
      : [
          paragraph(
            `${said(say('ui-report.weighed-with'))} ${said(say('report.starting', { list: list(starting, 'semicolons') }))}.`,
          ),
        ]),
  ];
}

/** Every verdict stays: what was thought first is part of how it was found. */
function verdictsInOrder({ verdicts }: JobSheet, { say: said, record, dayAndTime }: ReportWords): Content[] {
  if (verdicts.length === 0) return [];
  return [
    heading(said(say('ui-report.verdict'))),
    ...verdicts.map(({ cause, decidedAt, note }) =>
      paragraph([`${dayAndTime(decidedAt)}: ${record.cause(cause)}`, note].filter(Boolean).join('. ')),
    ),
  ];
}

function beforeAndAfter({ proof, caseFile }: ReportFacts, { say: said, record }: ReportWords): Content[] {
  if (!proof) return [];
  const cell = (value: string, fit: Fit | undefined) => (fit ? `${value} ${SIGNS[fit]}` : value);
  return [
    heading(said(say('ui-report.proof-of-repair'))),
    ...rows(
      [
        said(say('ui-sheet.where')),
        upperFirst(said(say('ui-sheet.repair-before'))),
        said(say('ui-report.expected')),
        upperFirst(said(say('ui-sheet.repair-now'))),
      ],
      proof.rows.map(({ before, beforeFit, after, afterFit, expectation, whyNone }) => [
        `${record.place(before)}, ${record.conditions(before.state)}`,
        cell(record.value(before), beforeFit),
        expectation
          ? record.expectation(expectation, before as Target, caseFile.ambient)
          : whyNone
            ? said(whyNone)
            : '',
        after ? cell(record.value(after), afterFit) : said(say('ui-sheet.not-repeated')),
      ]),
      ['*', 90, 130, 90],
    ),
  ];
}

function whatReadingsSay(
  { weighing, caseFile, proof }: ReportFacts,
  { say: said, title }: ReportWords,
): Content[] {
  const mended = isMended(proof);
  const [leader] = weighing.causes;
  const reasons = leader
    ? [
        ...leader.speaksFor.map(({ sentence }) => `${said(say('ui-report.for'))}: ${said(sentence)}`),
        ...leader.speaksAgainst.map(({ sentence }) => `${said(say('ui-report.against'))}: ${said(sentence)}`),
      ]
    : [];
  return [
    heading(said(say(mended ? 'ui-report.anything-else' : 'ui-report.readings-say'))),
    ...(mended && !weighing.verdict.decided
      ? [paragraph(said(say('ui-report.nothing-else-not-proven')))]
      : []),
    paragraph(said(weighing.verdict.sentence), true),
    ...weighing.disagreements.map(({ sentence }) => paragraph(`✕ ${said(sentence)}`, true)),
    ...bullets(weighing.gate.map(({ label, state }) => `${GATE_SIGNS[state]} ${title(label)}`)),
    ...bullets(reasons),
    ...bullets(findingsIn(caseFile).findings.map(({ sentence }) => said(sentence))),
  ];
}

/** In each state the wires by their places, and what was compared there. */
function byState(sheet: JobSheet, { caseFile }: ReportFacts, words: ReportWords): Content[] {
  const { say: said, title, record } = words;
  // What was read before a repair stands in the table above.
  const standing = lastEpisode(sheet.readings).readings;
  const lanes = lanesOf({ ...sheet.sensor, pins: sheet.job.pins ?? sheet.sensor.pins });
  return statesRead(standing).flatMap((state) => {
    const inState = standing.filter((one) => 'state' in one && sameState(one.state, state));
    const at = (matches: (one: Reading) => boolean) =>
      inState
        .filter(matches)
        .map((one) => record.value(one))
        .join(', ');
    const wires = lanes.map((lane) => [
      title(laneSaid(lane)),
      ...PLACES.map((place) => at((one) => one.kind === 'wire' && one.lane === lane && one.place === place)),
    ]);
    const beside = inState.filter(
      ({ kind }) => kind === 'gauge' || isLiveData({ kind }) || kind === 'engine-flow' || isPulses({ kind }),
    );
    const pairs = state.plug === 'connected' && !state.harness ? comparisonsIn(caseFile, state).pairs : [];
    const { measures } = caseFile.profile;
    return [
      heading(upperFirst(record.conditions(state))),
      ...rows(
        ['', ...PLACES.map((place) => title(placeSaid(place)))],
        wires.filter((row) => row.slice(1).some(Boolean)),
        [110, '*', '*', '*'],
      ),
      ...bullets([
        ...beside.map((one) => `${record.place(one)}: ${record.value(one)}`),
        ...pairs.map((pair) =>
          said(pairSaid({ ...pair, a: sourceSaid(pair.a), b: sourceSaid(pair.b) }, measures)),
        ),
      ]),
    ];
  });
}

function statesRead(standing: readonly Reading[]): MachineState[] {
  const states: MachineState[] = [];
  for (const one of standing)
    if (
      (isTarget(one) || isPulses(one) || one.kind === 'engine-flow') &&
      !isPumpStep(one) &&
      !states.some((known) => sameState(known, one.state))
    )
      states.push(one.state);
  return states;
}

function recordings(
  sheet: JobSheet,
  pictures: ReportAsked['pictures'],
  { say: said, dayAndTime }: ReportWords,
): Content[] {
  // One that was withdrawn counts for nothing, and is no part of what the customer gets.
  const kept = sheet.recordings.filter((one) => !isWithdrawn(one));
  if (kept.length === 0) return [];
  const sign = { fault: '✕', note: '·' } as const;
  return [
    heading(said(say('ui-report.recordings'))),
    ...kept.flatMap(({ id, name, takenAt, findings }) => [
      paragraph(`${name}, ${dayAndTime(takenAt)}`, true),
      ...bullets(findings.map(({ weight, sentence }) => `${sign[weight]} ${said(sentence)}`)),
      ...(pictures[id]?.map(picture) ?? [paragraph(said(say('ui-report.too-long-to-draw')))]),
    ]),
  ];
}

function instruments({ instruments: used }: JobSheet, { say: said }: ReportWords): Content[] {
  if (used.length === 0) return [];
  const calibration = ({ calibratedOn, calibrationDue }: Instrument): string =>
    [
      calibratedOn && said(say('ui-instruments.on', { calibratedOn: verbatim(day(calibratedOn)) })),
      calibrationDue && said(say('ui-instruments.due', { calibrationDue: verbatim(day(calibrationDue)) })),
    ]
      .filter(Boolean)
      .join(', ') || said(say('ui-report.calibration-unknown'));
  return [
    heading(said(say('ui-report.instruments'))),
    ...rows(
      [said(say('ui-report.instrument')), said(say('ui-report.calibrated'))],
      used.map((one) => [one.name, calibration(one)]),
      ['*', '*'],
    ),
  ];
}

/** All of the record, also what was replaced or taken back, which is struck out. */
function allReadings(
  { readings, instruments: used }: JobSheet,
  { say: said, record, dayAndTime }: ReportWords,
): Content[] {
  const counting = new Set(standingReadings(readings).map(({ id }) => id));
  const names = new Map(used.map(({ id, name }) => [id, name]));
  const lines = readings.filter(({ kind }) => kind !== 'withdrawal');
  return [
    heading(said(say('ui-report.all-readings'))),
    ...rows(
      (
        [
          'ui-sheet.time',
          'ui-sheet.where',
          'ui-sheet.value',
          'ui-sheet.state',
          'ui-sheet.as-entered',
        ] as const
      ).map((code) => said(say(code))),
      lines.map((one) => {
        const taker = 'instrumentId' in one && one.instrumentId ? names.get(one.instrumentId) : undefined;
        const state = 'state' in one ? record.conditions(one.state) : '';
        const cells = [
          dayAndTime(one.takenAt),
          record.place(one),
          record.value(one),
          [state, taker].filter(Boolean).join('; '),
          one.enteredText,
        ];
        return cells.map((text): Cell =>
          counting.has(one.id) ? { text } : { text, decoration: 'lineThrough' },
        );
      }),
      [82, '*', 90, 110, 80],
    ),
  ];
}

/** Those of everything that was read here. */
function cautionsOf({ readings, sensor }: JobSheet, { say: said }: ReportWords): Content[] {
  const all = standingReadings(readings).flatMap((one) =>
    'state' in one && isTarget(one) ? cautionsFor(one, one.state, sensor.family) : [],
  );
  return withoutRepeats([LOOM_CAUTION, ...all]).map((caution) => paragraph(`⚠ ${said(caution)}`));
}
