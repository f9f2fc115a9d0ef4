import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns';
import { format, isValid } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';

/** A day, typed or picked; its value is `YYYY-MM-DD`, or empty, or the half-typed text "?" that no schema takes. */
export function DayField({
  label,
  value,
  onChange,
  problem,
  help,
  latest,
}: {
  readonly label: string;
  readonly value: string;
  onChange(day: string): void;
  readonly problem?: string | undefined;
  readonly help?: string;
  /** last day that can be picked */
  readonly latest?: string;
}) {
  return (
    <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={enGB}>
      <DatePicker
        label={label}
        value={value === '' || value === '?' ? null : new Date(`${value}T12:00:00`)}
        onChange={(date) => onChange(date === null ? '' : isValid(date) ? format(date, 'yyyy-MM-dd') : '?')}
        {...(latest ? { maxDate: new Date(`${latest}T23:59:00`) } : {})}
        slotProps={{
          textField: { fullWidth: true, error: problem !== undefined, helperText: problem ?? help },
          field: { clearable: true },
        }}
      />
    </LocalizationProvider>
  );
}
