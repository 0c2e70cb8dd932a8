import { CAUSES, type CauseId } from './causes.ts';
import type { CheckId, OutcomeOf } from './checks.ts';
import type { FamilyId } from '../family/index.ts';
import { checksFor } from './familyScope.ts';
import type { Finding } from './finding.ts';

/** One thing that must be shown before a cause may be named; any one of the ways will do. */
interface Requirement {
  label: string;
  ways: readonly { check: CheckId; outcomes: readonly string[] }[];
}

export interface GateItem {
  label: string;
  state: 'proven' | 'missing' | 'refuted';
  /** The check to make next, where it is missing. */
  check: CheckId | undefined;
  readingIds: readonly string[];
}

export interface Gate {
  met: boolean;
  items: GateItem[];
}

const by = <Id extends CheckId>(check: Id, ...outcomes: OutcomeOf<Id>[]) => ({ check, outcomes });
const need = (label: string, ...ways: Requirement['ways']): Requirement => ({ label, ways });

const referenceProven = need('Reference proven at the plug, loaded', by('reference-at-plug', 'normal'));
const returnProven = need('Return proven at the plug, loaded', by('return-at-plug', 'near-zero'));
const signalWrong = need(
  'Signal seen at the plug, and wrong',
  by('signal-koeo', 'shifted', 'low', 'high'),
  by('sensor-vs-gauge-hose', 'disagree'),
);

/** A part is condemned only with its supply and return proven and its signal seen; a wire, between two readings. */
const REQUIREMENTS: Record<CauseId, readonly Requirement[]> = {
  'sensor-shifted': [referenceProven, returnProven, signalWrong],
  'sensor-stuck': [
    referenceProven,
    returnProven,
    signalWrong,
    need('Signal does not follow the engine', by('signal-follows', 'stuck')),
    need(
      'The wire itself does not hold the signal',
      by('signal-unplugged', 'at-bias'),
      by('signal-koeo', 'shifted', 'ambient'),
    ),
  ],
  'sensor-loads-reference': [
    need('Reference low at the plug, loaded', by('reference-at-plug', 'low', 'missing')),
    need('Reference back with the plug off', by('reference-unplugged', 'normal')),
    returnProven,
  ],
  'reference-open': [
    need('Reference lost at the plug', by('reference-at-plug', 'low', 'missing')),
    need('Reference present at the control unit', by('reference-at-unit', 'normal')),
  ],
  'reference-supply': [
    need('Reference wrong at the control unit', by('reference-at-unit', 'low', 'missing', 'high')),
    need('Still wrong with the plug off', by('reference-unplugged', 'low', 'missing', 'high')),
  ],
  'return-resistance': [
    need('Return raised at the plug, loaded', by('return-at-plug', 'raised', 'floating')),
    need('Return good at the control unit', by('return-at-unit', 'near-zero')),
  ],
  'unit-ground': [
    need('Return raised at the plug, loaded', by('return-at-plug', 'raised', 'floating')),
    need('Return raised at the control unit too', by('return-at-unit', 'raised')),
  ],
  'signal-open': [
    need('Signal right at the plug', by('signal-koeo', 'ambient')),
    need('Signal does not arrive at the control unit', by('signal-unit-vs-plug', 'differs')),
  ],
  'signal-short-reference': [
    need('Signal high at the plug', by('signal-koeo', 'high')),
    returnProven,
    need('Signal still high with the plug off', by('signal-unplugged', 'held-high')),
  ],
  'signal-short-ground': [
    need('Signal low at the plug', by('signal-koeo', 'low')),
    referenceProven,
    need('Signal still low with the plug off', by('signal-unplugged', 'held-low')),
  ],
  hose: [
    referenceProven,
    returnProven,
    need('Sensor and a gauge on the manifold disagree', by('sensor-vs-gauge-manifold', 'disagree')),
    need('Sensor and a gauge in its own hose agree', by('sensor-vs-gauge-hose', 'agree')),
  ],
  'engine-vacuum': [
    need('Signal right with the engine stopped', by('signal-koeo', 'ambient')),
    need('Gauge on the manifold shows low vacuum', by('vacuum-at-manifold', 'low')),
    need(
      'Sensor agrees with a gauge',
      by('sensor-vs-gauge-manifold', 'agree'),
      by('sensor-vs-gauge-hose', 'agree'),
    ),
  ],
  path: [
    referenceProven,
    returnProven,
    need('Signal seen at the plug, and wrong', by('signal-koeo', 'shifted'), by('signal-follows', 'stuck')),
  ],
  'unit-input': [
    need('Signal arrives at the control unit', by('signal-unit-vs-plug', 'same')),
    need('Live data shows something else', by('live-vs-plug', 'differs')),
  ],
  nothing: [
    referenceProven,
    returnProven,
    need('Signal right with the engine stopped', by('signal-koeo', 'ambient')),
    need('Signal follows the engine', by('signal-follows', 'moves')),
    need('Live data shows what is on the wire', by('live-vs-plug', 'agrees')),
    need(
      'Sensor agrees with a gauge',
      by('sensor-vs-gauge-hose', 'agree'),
      by('sensor-vs-gauge-manifold', 'agree'),
    ),
  ],
};

/** What a family has no check for cannot be asked of it. */
export function gateFor(cause: CauseId, findings: readonly Finding[], family: FamilyId): Gate {
  const checks = checksFor(family);
  const items = REQUIREMENTS[cause]
    .map(({ label, ways }) => ({ label, ways: ways.filter(({ check }) => checks.includes(check)) }))
    .filter(({ ways }) => ways.length > 0)
    .map((requirement) => judge(requirement, findings));
  return { met: items.every((item) => item.state === 'proven'), items };
}

export const condemnsAPart = (cause: CauseId): boolean =>
  CAUSES[cause].class === 'sensor' || CAUSES[cause].class === 'control-unit';

function judge({ label, ways }: Requirement, findings: readonly Finding[]): GateItem {
  const answers = ways.map((way) => {
    const answer = findings.find(({ check }) => check === way.check);
    const within = answer?.outcomes.filter((outcome) => way.outcomes.includes(outcome)).length ?? 0;
    const state =
      !answer || (within > 0 && within < answer.outcomes.length)
        ? 'missing'
        : within > 0
          ? 'proven'
          : 'refuted';
    return { state, check: way.check, readingIds: answer?.readingIds ?? [] } as const;
  });
  const best =
    answers.find(({ state }) => state === 'proven') ??
    answers.find(({ state }) => state === 'missing') ??
    answers.find(({ state }) => state === 'refuted');
  return {
    label,
    state: best?.state ?? 'missing',
    check: best?.state === 'missing' ? best.check : undefined,
    readingIds: best?.readingIds ?? [],
  };
}
