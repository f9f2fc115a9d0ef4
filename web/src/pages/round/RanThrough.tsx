import { Box, FormControlLabel, Switch, ToggleButton, ToggleButtonGroup } from '@mui/material';

/** What was seen at the bottom of a bag as it was watered. */
export interface SeenThrough {
  readonly ranThrough: boolean;
  readonly through?: 'little' | 'most';
  readonly isInGoes?: boolean;
}

export const NOTHING_THROUGH: SeenThrough = { ranThrough: false };

const HOW_MUCH = [
  { id: 'little', label: 'a little' },
  { id: 'most', label: 'most of it' },
] as const;

const HOW = [
  { id: 'goes', label: 'in goes' },
  { id: 'once', label: 'all at once' },
] as const;

/** Whether it ran through, and where it did how much and how it was poured: dry mix lets one pour past. */
export function RanThrough({
  seen,
  isStore,
  onChange,
}: {
  readonly seen: SeenThrough;
  readonly isStore: boolean;
  onChange(seen: SeenThrough): void;
}) {
  const { ranThrough, through = 'little', isInGoes = true } = seen;
  return (
    <>
      <FormControlLabel
        sx={{ marginInlineEnd: 0 }}
        control={
          <Switch
            color="secondary"
            checked={ranThrough}
            onChange={(_, on) =>
              onChange(on && !isStore ? { ranThrough: true, through, isInGoes } : { ranThrough: on })
            }
          />
        }
        label={isStore ? 'It ran over' : 'It ran through'}
        slotProps={{ typography: { sx: { fontSize: '0.95rem' } } }}
      />
      {ranThrough && !isStore && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, order: 1, width: '100%', paddingBlock: 0.5 }}>
          <Choice
            label="How much ran through"
            value={through}
            options={HOW_MUCH}
            onChange={(to) => onChange({ ...seen, through: to })}
          />
          <Choice
            label="How it was poured"
            value={isInGoes ? 'goes' : 'once'}
            options={HOW}
            onChange={(to) => onChange({ ...seen, isInGoes: to === 'goes' })}
          />
        </Box>
      )}
    </>
  );
}

function Choice<Id extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: Id;
  readonly options: readonly { readonly id: Id; readonly label: string }[];
  onChange(id: Id): void;
}) {
  return (
    <ToggleButtonGroup
      exclusive
      aria-label={label}
      value={value}
      onChange={(_, id: Id | null) => id && onChange(id)}
      sx={{ '& .MuiToggleButton-root': { minHeight: 48, color: 'inherit' } }}
    >
      {options.map(({ id, label: words }) => (
        <ToggleButton key={id} value={id}>
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
