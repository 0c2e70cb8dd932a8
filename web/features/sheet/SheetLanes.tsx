import type { MachineState, Target } from '@lettura/core/machine/places';
import { memo, useCallback, useState } from 'react';
import { PopUp } from '../../ui/PopUp.tsx';
import type { Units } from '../../ui/units.ts';
import { Lanes, type LanesForm } from './Lanes.tsx';
import { padIn } from './padOf.ts';
import { stretchInWords, type LaneStretch } from './Segment.tsx';
import { StretchDetail } from './StretchDetail.tsx';
import type { Sheet } from './useSheet.ts';

export interface SheetLanesProps {
  sheet: Sheet;
  selected: Target;
  state: MachineState;
  units: Units;
  /** Stays the same function, so that a pad that shows the same as before is not drawn anew. */
  onSelect: (target: Target) => void;
  onMeasure: (stretch: LaneStretch) => void;
  form: LanesForm;
}

/** The lanes in the present state of the machine; what is known of a stretch unfolds beside it. */
export const SheetLanes = memo(function SheetLanes({
  sheet,
  selected,
  state,
  units,
  onSelect,
  onMeasure,
  form,
}: SheetLanesProps) {
  const [asked, setAsked] = useState<{ stretch: LaneStretch; anchor: HTMLElement }>();
  const ask = useCallback((stretch: LaneStretch, anchor: HTMLElement) => setAsked({ stretch, anchor }), []);
  const close = () => setAsked(undefined);
  return (
    <>
      <Lanes
        caseFile={sheet.caseFile}
        lanes={sheet.lanes}
        selected={selected}
        padOf={(target) => padIn(sheet, target, state, units)}
        onSelect={onSelect}
        onAsk={ask}
        harness={state.harness}
        form={form}
      />
      {asked && (
        <PopUp
          label={stretchInWords(asked.stretch)}
          anchor={asked.anchor}
          onClose={close}
          widthPx={{ most: 420 }}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
          transformOrigin={{ vertical: 'top', horizontal: 'center' }}
        >
          <StretchDetail
            {...{ sheet, units, ...asked.stretch }}
            onMeasure={() => {
              close();
              onMeasure(asked.stretch);
            }}
          />
        </PopUp>
      )}
    </>
  );
});
