import Button, { type ButtonProps } from '@mui/material/Button';
import { useRef } from 'react';

export interface FileButtonProps extends Omit<ButtonProps, 'onClick'> {
  accept: string;
  onFile: (file: File) => void;
}

/** A real button in front of the browser's file field, so that keyboard and screen reader find it. */
export function FileButton({ accept, onFile, children, ...button }: FileButtonProps) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" color="inherit" {...button} onClick={() => field.current?.click()}>
        {children}
      </Button>
      <input
        ref={field}
        hidden
        type="file"
        accept={accept}
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file may be chosen again once it was corrected.
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
