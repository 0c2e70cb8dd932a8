import { gaugeDisplay, liveVolts, meterDisplay, type LiveData, type SimulatedMachine } from '@lettura/bench';
import type { MachineState, Target } from '@lettura/core/machine/places';
import { formatWithBasis, shownUnit } from '@lettura/core/measure/quantity';
import { t } from '../../ui/words.ts';

export interface InstrumentDisplay {
  name: string;
  digits: string;
  unit: string;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  text?: string;
  remark?: string;
}

/** What the instrument that belongs to a point of the sheet shows there. */
export function instrumentAt(
  simulated: SimulatedMachine,
  state: MachineState,
  target: Target,
  { seed, tick, liveData: data }: { seed: number; tick: number; liveData: LiveData | undefined },
): InstrumentDisplay {
  const { wiring, sensor } = simulated.machine;
  switch (target.kind) {
    case 'wire': {
      const name = t('ui-bench.meter-volts-dc');
      const { lane, place } = target;
      if (!wiring.wires.some(({ wire }) => wire === lane))
        return { name, digits: '–', unit: '', remark: t('ui-bench.machines-sensor-no-such-wire') };
      const trueVolts = simulated.voltsBetween({ lane, place }, 'battery-negative', state);
      const { text, unit } = meterDisplay(trueVolts, seed, tick);
      return { name, digits: text, unit, text: `${text} ${unit}` };
    }
    case 'gauge': {
      const shown = gaugeDisplay(simulated, state, target.tap, seed);
      if (!shown)
        return {
          name: t('ui-bench.gauge'),
          digits: '–',
          unit: '',
          remark: t('ui-bench.no-gauge-goes-sensor'),
        };
      const tap = { manifold: 'manifold ', 'sensor-hose': '', 'service-port': 'port ' }[target.tap];
      const basis = { vacuum: ' vac', gauge: ' gauge', differential: '' }[shown.basis];
      return {
        name: shown.basis === 'vacuum' ? t('ui-bench.vacuum-gauge') : t('ui-bench.pressure-gauge'),
        digits: shown.text,
        unit: `${shown.unit}${basis}`,
        text: `gauge ${tap}${shown.text} ${shown.unit}${basis}`,
      };
    }
    case 'live-volts': {
      const name = t('ui-bench.live-data-2');
      const { lane } = target;
      if (!wiring.wires.some(({ wire }) => wire === lane))
        return { name, digits: '–', unit: '', remark: t('ui-bench.machines-sensor-no-such-wire') };
      const volts = data && liveVolts(simulated, lane, state);
      if (volts === undefined)
        return { name, digits: '–', unit: '', remark: t('ui-bench.no-answer-key-off-2') };
      const digits = volts.toFixed(2);
      return { name, digits, unit: 'V', text: `scan ${lane === 'signal' ? 'sig' : 'sig2'} ${digits} V` };
    }
    case 'scan': {
      if (!data)
        return {
          name: t('ui-bench.live-data-2'),
          digits: '–',
          unit: '',
          remark: t('ui-bench.no-answer-key-off-2'),
        };
      const { measures } = sensor.profile;
      const [digits = '–', ...unit] = formatWithBasis(data.value, measures, 'kPa').split(' ');
      const remark =
        data.codes.length > 0
          ? t('ui-bench.unit-sets', { codes: data.codes.join(' and ') })
          : t('ui-bench.no-code-set-2');
      return {
        name: t('ui-bench.live-data-2'),
        digits,
        unit: unit.join(' '),
        text: `scan ${digits} ${shownUnit(measures, 'kPa')}`,
        remark,
      };
    }
  }
}
