import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { engineSaid } from '@lettura/core/machine/places';
import { toKelvin, toKpa } from '@lettura/core/measure/quantity';
import { litresRuleFlow, speedDensityFlow } from '@lettura/core/judge/checks';
import { useState } from 'react';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { said, t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';
import { type AirflowCheckProps, AirflowAgainst } from './AirflowAgainst.tsx';

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
      {byDensity && (
        <AirflowAgainst {...{ caseFile, engine, units }} name="speed-and-density" should={byDensity} />
      )}
      {byRule && <AirflowAgainst {...{ caseFile, engine, units }} name="litres-rule" should={byRule} />}
      {!byDensity && !byRule && (
        <Typography variant="body2">{t('ui-sheet.fill-live-data-shows-beside')}</Typography>
      )}
    </Box>
  );
}
