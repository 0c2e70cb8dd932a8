import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { engineSaid, type EngineState } from '@lettura/core/machine/places';
import { formatValue, toKelvin, toKpa } from '@lettura/core/measure/quantity';
import {
  flowAgainst,
  litresRuleFlow,
  speedDensityFlow,
  type CaseFile,
  pairSaid,
} from '@lettura/core/judge/checks';
import type { MeasuredValue } from '@lettura/core/measure/uncertainty';
import { useState } from 'react';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import type { Units } from '../../ui/units.ts';
import { BudgetTable } from './BudgetTable.tsx';
import { SaidProblem, Said } from '../../ui/Said.tsx';
import { said, titled, t } from '../../ui/words.ts';
import { say, verbatim } from '@lettura/core/measure/message';

export interface AirflowCheckProps {
  caseFile: CaseFile;
  engine: EngineState;
  units: Units;
}

/** A flow meter beside what speed, pressure and temperature call for, and beside the litres rule at idle. */
export function AirflowCheck({ caseFile, engine, units }: AirflowCheckProps) {
  const [text, setText] = useState({ litres: '', revs: '', pressure: '', air: '', efficiency: '75' });
  const litresText = text.litres || String(caseFile.displacementLitres ?? '');
  const airText = text.air || String(caseFile.ambient?.airCelsius ?? '');
  const read = {
    litres: fieldNumber(litresText, { lowest: 0.05, highest: 50, unit: 'L' }),
    revs: fieldNumber(text.revs, { lowest: 50, highest: 15_000, unit: '1/min' }),
    pressure: fieldNumber(text.pressure, { lowest: 0, highest: 5000, unit: units.absolute }),
    air: fieldNumber(airText, { lowest: -40, highest: 150, unit: '°C' }),
    efficiency: fieldNumber(text.efficiency, { lowest: 5, highest: 150, unit: '%' }),
  };
  const { litres, revs, pressure, air, efficiency } = read;
  const byDensity =
    litres.ok && revs.ok && pressure.ok && air.ok && efficiency.ok && pressure.value > 0
      ? speedDensityFlow({
          displacementLitres: litres.value,
          revsPerMinute: revs.value,
          pressureKpaAbs: toKpa(pressure.value, units.absolute),
          temperatureKelvin: toKelvin(air.value, '°C'),
          volumetricEfficiency: efficiency.value / 100,
        })
      : undefined;
  const byRule = engine === 'idle' && litres.ok ? litresRuleFlow(litres.value) : undefined;
  const field = (name: keyof typeof text, label: string, shown: string = text[name]) => (
    <TextField
      size="small"
      label={label}
      value={shown}
      onChange={(event) => setText({ ...text, [name]: event.target.value })}
      error={shown !== '' && !read[name].ok}
      helperText={shown !== '' && !read[name].ok ? said(read[name].problem.message) : undefined}
      sx={{ width: 150 }}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 12 } }}
    />
  );
  return (
    <Box role="group" aria-label={t('ui-sheet.flow-meter-against-engine')}>
      <Typography variant="h2">
        {t('ui-sheet.against-engine', { engine: said(engineSaid(engine)) })}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1 }}>
        {field('litres', t('ui-sheet.displacement-l'), litresText)}
        {field('revs', 'Speed, 1/min')}
        {field('pressure', t('ui-sheet.manifold-abs', { absolute: verbatim(units.absolute) }))}
        {field('air', 'Air, °C', airText)}
        {field('efficiency', 'Filling, %')}
      </Box>
      {byDensity && <Against {...{ caseFile, engine, units }} name="speed-and-density" should={byDensity} />}
      {byRule && <Against {...{ caseFile, engine, units }} name="litres-rule" should={byRule} />}
      {!byDensity && !byRule && (
        <Typography variant="body2">{t('ui-sheet.fill-live-data-shows-beside')}</Typography>
      )}
    </Box>
  );
}

function Against({
  caseFile,
  engine,
  units,
  name,
  should,
}: AirflowCheckProps & { name: 'speed-and-density' | 'litres-rule'; should: MeasuredValue }) {
  const found = flowAgainst(caseFile, engine, should);
  const source = say(`source.${name}`);
  const called = t('ui-sheet.calls-for', {
    source: titled(source),
    value: formatValue(should.value, 'air-flow', units.absolute),
    expandedUncertainty: formatValue(should.expandedUncertainty, 'air-flow', units.absolute),
  });
  if (!found.ok) {
    return (
      <Typography>
        {called} <SaidProblem problem={found.problem} />
      </Typography>
    );
  }
  const matters = Math.abs(found.value.difference) > caseFile.profile.differenceThatMatters;
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        {called}{' '}
        <Said
          message={pairSaid(
            { a: say('source.sensor'), b: source, comparison: found.value, matters },
            'air-flow',
          )}
        />
      </Typography>
      <BudgetTable of={said(source)} measured={should} measures="air-flow" units={units} />
    </>
  );
}
