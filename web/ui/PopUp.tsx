import Popover, { type PopoverProps } from '@mui/material/Popover';

export interface PopUpProps extends Pick<PopoverProps, 'children' | 'anchorOrigin' | 'transformOrigin'> {
  label: string;
  /** What it hangs on; closed without one. */
  anchor: HTMLElement | undefined;
  onClose: () => void;
  widthPx?: { least?: number; most?: number };
}

/** A small page beside what was pressed, closed by Escape or a press elsewhere. */
export const PopUp = ({ label, anchor, widthPx, ...props }: PopUpProps) => (
  <Popover
    {...props}
    open={anchor !== undefined}
    anchorEl={anchor ?? null}
    slotProps={{
      paper: {
        role: 'dialog',
        'aria-label': label,
        sx: {
          p: 1.5,
          minWidth: widthPx?.least,
          maxWidth: widthPx?.most,
          border: 1,
          borderColor: 'sheet.rule',
        },
      },
    }}
  />
);
