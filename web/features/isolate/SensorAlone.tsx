import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { expectationContext } from '@lettura/core/judge/checks';
import { expectedReading } from '@lettura/core/judge/expectation';
import {
  bridgedPastPlug,
  byItselfVolts,
  poweredByItself,
  type IsolatedSensor,
} from '@lettura/core/judge/isolation';
import type { MachineState, Target } from '@lettura/core/machine/places';
import { Cautions } from '../../ui/Cautions.tsx';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { t } from '../../ui/words.ts';
import { say } from '@lettura/core/measure/message';
import { BetweenField } from './BetweenField.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';

const SIGNAL: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
const AT_REST: MachineState = { engine: 'koeo', plug: 'connected' };

/** The sensor fed past its plug, with nothing on its signal: on the machine by two jumpers, or on the bench. */
export function SensorAlone({
  caseFile,
  sensor,
  onBetween,
}: Pick<IsolatePanelProps, 'caseFile' | 'onBetween'> & { sensor: IsolatedSensor }) {
  const alone = poweredByItself(sensor);
  if (!alone) return null;
  const expected = expectedReading(SIGNAL, AT_REST, expectationContext(caseFile));
  const bridged = bridgedPastPlug(sensor);
  const volts = byItselfVolts(alone, caseFile.isolation);
  const bridgedVolts = bridged && byItselfVolts(bridged, caseFile.isolation);
  return (
    <Box component="section" aria-label={t('ui-isolate.by-itself')} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3">{t('ui-isolate.by-itself')}</Typography>
      <Typography variant="body2">{t('ui-isolate.by-itself-how')}</Typography>
      <Cautions cautions={[say('isolation.by-itself-caution')]} />
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {expected
          ? t('ui-isolate.by-itself-expect', {
              low: expected.lowest.toFixed(2),
              high: expected.highest.toFixed(2),
            })
          : t('ui-isolate.by-itself-no-expectation')}
      </Typography>
      <BetweenField
        label={t('ui-isolate.by-itself-signal')}
        placeholder="1.02"
        onEnter={(text) => onBetween('between', [alone.from, alone.to], alone.state, text)}
      />
      {volts !== undefined && (
        <Typography role="status" sx={{ fontWeight: 600 }}>
          {t('ui-isolate.by-itself-read', {
            volts: voltsInWords(volts),
            isKnown: expected !== undefined,
            fits: expected !== undefined && volts >= expected.lowest && volts <= expected.highest,
          })}
        </Typography>
      )}
      {bridged && (
        <>
          <Typography variant="body2">{t('ui-isolate.bridged-how')}</Typography>
          <BetweenField
            label={t('ui-isolate.bridged-signal')}
            placeholder="1.02"
            onEnter={(text) => onBetween('between', [bridged.from, bridged.to], bridged.state, text)}
          />
          {bridgedVolts !== undefined && (
            <Typography role="status" sx={{ fontWeight: 600 }}>
              {t('ui-isolate.bridged-read', { volts: voltsInWords(bridgedVolts) })}
            </Typography>
          )}
        </>
      )}
    </Box>
  );
}
