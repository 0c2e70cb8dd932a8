import { engineFlow, type SimulatedMachine } from '@lettura/bench';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { engineSaid, isSteady, running, sameDrive } from '@lettura/core/machine/places';
import type { EngineFlowReading } from '@lettura/core/record/evidence';
import { fromKpa, toKelvin, toKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import { speedDensityFlow, type CaseFile } from '@lettura/core/judge/checks';
import { useStored } from '../../app/useStored.ts';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import type { Units } from '../../ui/units.ts';
import { said, t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';
import { airflowDraftOf, type AirflowDraft } from './airflowDraft.ts';
import { AirflowAgainst, AirflowByRule } from './AirflowAgainst.tsx';
import type { EntryActions, RecordedState } from './useEntry.ts';

export interface AirflowCheckProps {
  jobId: string;
  caseFile: CaseFile;
  state: RecordedState;
  units: Units;
  /** The machine in hand, where it is a simulated one: its live data need not be typed. */
  simulated: SimulatedMachine | undefined;
  onKeep: EntryActions['enterEngineFlow'];
}

const onRecord = ({ isolation }: CaseFile, state: RecordedState): EngineFlowReading | undefined =>
  isolation.findLast(
    (one): one is EngineFlowReading => one.kind === 'engine-flow' && sameDrive(one.state, state),
  );

/** As it was put on record, so that a figure can be mended; else empty. */
const textOf = (kept: EngineFlowReading | undefined, { absolute }: Units): AirflowDraft =>
  kept
    ? {
        litres: String(kept.displacementLitres),
        revs: String(kept.revsPerMinute),
        pressure: inUnit(kept.manifoldKpaAbs, absolute),
        air: String(kept.airCelsius),
        efficiency: String(kept.fillingPercent),
      }
    : { litres: '', revs: '', pressure: '', air: '', efficiency: '75' };

const inUnit = (kpa: number, unit: PressureUnit): string =>
  String(Number(fromKpa(kpa, unit).toPrecision(DIGITS)));
const DIGITS = 5;

/** A flow meter beside what speed, pressure and temperature call for, and beside the litres rule at idle. */
export function AirflowCheck({ jobId, caseFile, state, units, simulated, onKeep }: AirflowCheckProps) {
  const [draft, setText, forget] = useStored(airflowDraftOf(jobId, state.engine), undefined);
  const text = draft ?? textOf(onRecord(caseFile, state), units);
  const litresText = text.litres || String(caseFile.displacementLitres ?? '');
  const airText = text.air || String(caseFile.ambient?.airCelsius ?? '');
  const read = {
    litres: fieldNumber(litresText, { lowest: 0.05, highest: 50, unit: 'L' }),
    revs: fieldNumber(text.revs, { lowest: 50, highest: 15_000, unit: '1/min' }),
    pressure: fieldNumber(text.pressure, {
      lowest: fromKpa(1, units.absolute),
      highest: fromKpa(500, units.absolute),
      unit: units.absolute,
    }),
    air: fieldNumber(airText, { lowest: -40, highest: 150, unit: '°C' }),
    efficiency: fieldNumber(text.efficiency, { lowest: 5, highest: 150, unit: '%' }),
  };
  const { litres, revs, pressure, air, efficiency } = read;
  const figures =
    litres.ok && revs.ok && pressure.ok && air.ok && efficiency.ok
      ? {
          displacementLitres: litres.value,
          revsPerMinute: revs.value,
          manifoldKpaAbs: toKpa(pressure.value, units.absolute),
          airCelsius: air.value,
          fillingPercent: efficiency.value,
        }
      : undefined;
  const shown = simulated && engineFlow(simulated, state);
  const field = (name: keyof typeof text, label: string, value: string = text[name]) => (
    <TextField
      size="small"
      label={label}
      value={value}
      onChange={(event) => setText({ ...text, [name]: event.target.value })}
      error={value !== '' && !read[name].ok}
      helperText={value !== '' && !read[name].ok ? said(read[name].problem.message) : undefined}
      sx={{ width: 150, '& .MuiInputBase-root': { minHeight: { xs: 48, lg: 40 } } }}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 12 } }}
    />
  );
  const canBeKept = figures && running(state) && isSteady(state) && state.plug === 'connected';
  return (
    <Box role="group" aria-label={t('ui-sheet.flow-meter-against-engine')}>
      <Typography variant="h2">
        {t('ui-sheet.against-engine', { engine: said(engineSaid(state.engine)) })}
      </Typography>
      <Typography variant="body2">{t('ui-sheet.engine-flow-what-for')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1, alignItems: 'flex-start' }}>
        {field('litres', t('ui-sheet.displacement-l'), litresText)}
        {field('revs', t('ui-sheet.revs-1-min'))}
        {field('pressure', t('ui-sheet.manifold-abs', { absolute: verbatim(units.absolute) }))}
        {field('air', t('ui-sheet.air-celsius'), airText)}
        {field('efficiency', t('ui-sheet.filling-percent'))}
        {shown && (
          <Button
            variant="outlined"
            onClick={() =>
              setText({
                ...text,
                revs: String(shown.revsPerMinute),
                pressure: inUnit(shown.manifoldKpaAbs, units.absolute),
                air: String(shown.airCelsius),
              })
            }
          >
            {t('ui-sheet.read-simulated-live-data')}
          </Button>
        )}
      </Box>
      {figures ? (
        <>
          <AirflowAgainst
            {...{ caseFile, units }}
            engine={state.engine}
            should={speedDensityFlow({
              displacementLitres: figures.displacementLitres,
              revsPerMinute: figures.revsPerMinute,
              pressureKpaAbs: figures.manifoldKpaAbs,
              temperatureKelvin: toKelvin(figures.airCelsius, '°C'),
              volumetricEfficiency: figures.fillingPercent / 100,
            })}
          />
          {canBeKept ? (
            <Button
              variant="contained"
              sx={{ my: 1 }}
              onClick={() => {
                onKeep(
                  figures,
                  state,
                  t('ui-sheet.engine-figures-text', {
                    litres: verbatim(litresText),
                    revs: verbatim(text.revs),
                    pressure: verbatim(`${text.pressure} ${units.absolute}`),
                    air: verbatim(`${airText} °C`),
                    filling: verbatim(text.efficiency),
                  }),
                );
                forget();
              }}
            >
              {t('ui-sheet.keep-engine-flow')}
            </Button>
          ) : (
            <Typography variant="body2">{t('ui-sheet.engine-flow-of-running-engine')}</Typography>
          )}
        </>
      ) : (
        <Typography variant="body2">{t('ui-sheet.fill-live-data-shows-beside')}</Typography>
      )}
      {state.engine === 'idle' && litres.ok && (
        <AirflowByRule {...{ caseFile, units }} displacementLitres={litres.value} />
      )}
    </Box>
  );
}
