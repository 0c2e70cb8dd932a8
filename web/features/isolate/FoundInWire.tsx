import Typography from '@mui/material/Typography';
import { type Lane } from '@lettura/core/machine/places';
import { ohmsFromDrop, shiftByOhms, type IsolatedSensor } from '@lettura/core/judge/isolation';
import {
  dropIsSmall,
  dropOver,
  isGrounded,
  ohmsJudged,
  ohmsOf,
  ohmsToGround,
  supplyCheck,
  type Stretch,
} from '@lettura/core/judge/checks';
import { ohmsInWords } from '@lettura/core/measure/quantity';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { shiftInWords } from './shiftInWords.ts';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { t } from '../../ui/words.ts';

export type WireTableProps = Pick<IsolatePanelProps, 'caseFile' | 'lanes' | 'units' | 'onBetween'> & {
  sensor: IsolatedSensor;
  chosen: Lane;
  onChoose: (lane: Lane) => void;
};

type Found = Pick<WireTableProps, 'caseFile' | 'sensor' | 'units'> & { stretch: Stretch };

export function DropFound({ stretch, caseFile, sensor, units }: Found) {
  const drop = dropOver(stretch, caseFile);
  if (!drop) return null;
  const { lane } = stretch;
  return (
    <Typography variant="body2">
      <strong>{voltsInWords(drop.volts)}</strong>{' '}
      {dropIsSmall(drop, caseFile)
        ? t('ui-isolate.next-nothing-lost')
        : t('ui-isolate.lost-way', {
            shift: shiftInWords(
              shiftByOhms(sensor, lane, ohmsFromDrop(sensor, lane, drop.volts)),
              lane,
              caseFile.profile.measures,
              units,
            ),
          })}
    </Typography>
  );
}

export function OhmsFound({ stretch, caseFile, sensor, units }: Found) {
  const reading = ohmsOf(stretch, caseFile);
  if (!reading) return null;
  const { lane } = stretch;
  const ohms = reading.ohms ?? Infinity;
  const judged = ohmsJudged(reading);
  const shift = () => shiftInWords(shiftByOhms(sensor, lane, ohms), lane, caseFile.profile.measures, units);
  const words = {
    few: t('ui-isolate.conducts-thread-copper-does-too'),
    'too-many': t('ui-isolate.more-than-wire'),
    open: '✕ open',
  }[judged];
  return (
    <Typography variant="body2">
      <strong>{ohmsInWords(ohms)}</strong> {words} {judged === 'too-many' && shift()}
    </Typography>
  );
}

export function GroundFound({ lane, caseFile }: Pick<WireTableProps, 'caseFile'> & { lane: Lane }) {
  const reading = ohmsToGround(lane, caseFile);
  if (!reading) return null;
  // A supply that holds its voltage under load is held to nothing: then the ohms were something else.
  const isGoodLoaded = supplyCheck(caseFile, [lane])[0]?.outcome === 'good';
  return (
    <Typography variant="body2">
      <strong>{ohmsInWords(reading.ohms ?? Infinity)}</strong>{' '}
      {!isGrounded(reading)
        ? t('ui-isolate.not-held-to-ground')
        : isGoodLoaded
          ? t('ui-isolate.held-yet-good')
          : t('ui-isolate.held-to-ground')}
    </Typography>
  );
}
