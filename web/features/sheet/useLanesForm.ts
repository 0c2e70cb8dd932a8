import { useDispatch, useSelector } from 'react-redux';
import { laneFormChosen, selectLaneForms } from '../../app/preferences.ts';
import { useScreen } from '../../ui/useScreen.ts';
import type { LanesForm } from './Lanes.tsx';
import type { Section } from './sections.ts';

/** Where one point is worked on the lanes are the work; beside a table they only show where the fault is. */
const AT_A_POINT: readonly Section[] = ['reading', 'bench'];

/** In which form the lanes stand, and how to change that; on a phone there is room for one form only. */
export function useLanesForm(section: Section): { form: LanesForm; change: (() => void) | undefined } {
  const screen = useScreen();
  const forms = useSelector(selectLaneForms);
  const dispatch = useDispatch();
  if (screen === 'phone') return { form: 'thumb', change: undefined };
  const beside = AT_A_POINT.includes(section) ? 'point' : 'table';
  const form = forms[beside];
  return {
    form,
    change: () => void dispatch(laneFormChosen({ [beside]: form === 'full' ? 'strip' : 'full' })),
  };
}
