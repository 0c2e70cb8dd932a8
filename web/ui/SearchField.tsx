import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useId } from 'react';

interface SearchFieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
}

/** What a list is searched by, as wide as it may be. */
export function SearchField({ label, value, onChange }: SearchFieldProps) {
  const id = useId();
  return (
    <FormControl sx={{ flex: 1, minWidth: 0 }}>
      <InputLabel htmlFor={id}>{label}</InputLabel>
      <OutlinedInput
        id={id}
        type="search"
        label={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </FormControl>
  );
}
