import { fieldUnit, UNITS, type Purpose } from '@rundel/core/units';
import { InputAdornment, TextField, type TextFieldProps } from '@mui/material';
import { useUnitFormat } from '../store/index.ts';

/** A field for an amount: any unit may be typed, a bare number has the unit shown at its end. */
export function AmountField({ purpose, ...rest }: { readonly purpose: Purpose } & TextFieldProps) {
  const { system } = useUnitFormat();
  return (
    <TextField
      fullWidth
      autoComplete="off"
      {...rest}
      slotProps={{
        ...rest.slotProps,
        htmlInput: { inputMode: 'decimal', ...rest.slotProps?.htmlInput },
        input: {
          endAdornment: (
            <InputAdornment position="end">{UNITS[fieldUnit(system, purpose)].symbol}</InputAdornment>
          ),
        },
      }}
    />
  );
}
