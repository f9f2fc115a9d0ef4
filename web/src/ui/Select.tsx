import { MenuItem, TextField } from '@mui/material';

/** A choice among a few, by their ids and words. */
export function Select<Id extends string>({
  label,
  value,
  options,
  onChange,
  help,
  problem,
}: {
  readonly label: string;
  readonly value: Id;
  readonly options: readonly { readonly id: NoInfer<Id>; readonly label: string }[];
  onChange(id: NoInfer<Id>): void;
  readonly help?: string | undefined;
  readonly problem?: string | undefined;
}) {
  return (
    <TextField
      select
      fullWidth
      label={label}
      value={value}
      onChange={(e) => onChange(e.target.value as Id)}
      helperText={problem ?? help}
      error={problem !== undefined}
      // a choice of nothing is shown in its words, and its label stays out of their way
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      {options.map((option) => (
        <MenuItem key={option.id} value={option.id}>
          {option.label}
        </MenuItem>
      ))}
    </TextField>
  );
}
