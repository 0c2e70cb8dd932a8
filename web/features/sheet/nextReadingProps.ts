import type { FamilyId } from '@lettura/core/machine/family';
import type { NextReading, Reach, Reachable, Reaches } from '@lettura/core/judge/weighing';
import { type LookedProps } from './Looked.tsx';
import { t } from '../../ui/words.ts';

export interface NextReadingPanelProps extends LookedProps {
  family: FamilyId;
  onGo: (next: NextReading) => void;
  reaches: Reaches;
  onReach: (place: Reachable, reach: Reach) => void;
  /** The unit has a second input of the same body, of which not every tool shows the volts. */
  hasPair: boolean;
}

export const CHANGES: Record<NextReading['answers'][number]['change'], string> = {
  surer: t('ui-sheet.surer-than-now'),
  'as-now': t('ui-sheet.sure-now'),
  'less-sure': t('ui-sheet.less-sure-than-now'),
};
