import { Box, Button, FormControlLabel, InputAdornment, MenuItem, Switch, TextField } from '@mui/material';
import { lazy, Suspense } from 'react';
import { useController } from 'react-hook-form';
import type { FieldContext, Fields, Option } from './field.ts';
import { useAdopted } from './half-typed.ts';
import type { FieldsForm } from './use-fields.ts';

/** A calendar is much to load for forms that are nearly always of now. */
const DayField = lazy(() => import('../DayField.tsx').then((module) => ({ default: module.DayField })));

/** One field of a form as its descriptor has it; label, help and options can depend on what else is said. */
export function FormField<F extends Fields>({
  form,
  name,
  label,
  help,
  options,
  value,
  onTyped,
  autoFocus,
  list,
  isBare = false,
}: {
  readonly form: FieldsForm<F>;
  readonly name: keyof F & string;
  readonly label?: string;
  readonly help?: string | undefined;
  readonly options?: readonly Option[];
  /** what is shown in place of what stands in it: a proposal that is taken where nothing is said */
  readonly value?: string;
  /** called with what was typed or chosen, once it stands in the field */
  onTyped?(text: string): void;
  readonly autoFocus?: boolean;
  /** id of a list of suggestions */
  readonly list?: string;
  /** a line and no frame, without unit or label to see: for a cell of a table that has them at its head */
  readonly isBare?: boolean;
}) {
  useAdopted(form as unknown as FieldsForm<Fields>);
  const described = form.fields[name] as Fields[string];
  const { field, fieldState } = useController({ control: form.control, name });
  const problem = fieldState.error?.message;
  const words = label ?? described.label;
  const { input } = described;
  const put = (text: string) => {
    field.onChange(text);
    onTyped?.(text);
  };
  const { ref, ...bound } = { ...field, value: value ?? (field.value as string | undefined) ?? '' };
  if (input.kind === 'switch')
    return (
      <FormControlLabel
        control={
          <Switch
            checked={bound.value === 'on'}
            onChange={(_, on) => put(on ? 'on' : '')}
            slotProps={{ input: { ref } }}
          />
        }
        label={words}
      />
    );
  if (input.kind === 'day')
    return (
      <Suspense fallback={<Box sx={{ minHeight: 56 }} />}>
        <DayField
          label={words}
          value={bound.value}
          onChange={put}
          {...(input.latest ? { latest: input.latest } : {})}
          problem={problem}
          help={help ?? described.help ?? ''}
        />
      </Suspense>
    );
  if (input.kind === 'choice' && input.isRow)
    return (
      <RowOfChoices label={words} options={options ?? input.options} value={bound.value} onChange={put} />
    );
  const unit = input.kind === 'number' ? input.unit?.(form.context) : undefined;
  const adornment = unit && !isBare && (
    <InputAdornment position={input.kind === 'number' && input.isBefore ? 'start' : 'end'}>
      {unit}
    </InputAdornment>
  );
  const isChoice = input.kind === 'choice';
  const echo = input.kind === 'number' ? understood(described, bound.value, form.context) : undefined;
  return (
    <TextField
      {...bound}
      onChange={(event) => put(event.target.value)}
      inputRef={ref}
      select={isChoice}
      fullWidth
      autoComplete="off"
      {...(isBare ? { variant: 'standard', sx: { width: 64 } } : { label: words })}
      autoFocus={autoFocus ?? false}
      error={problem !== undefined}
      helperText={problem ?? [echo, help ?? described.help].filter(Boolean).join(' ')}
      {...(input.kind === 'text' && input.lines ? { multiline: true, minRows: input.lines } : {})}
      slotProps={{
        // a choice of nothing is shown in its words, and its label stays out of their way
        ...(isChoice ? { select: { displayEmpty: true }, inputLabel: { shrink: true } } : {}),
        // beside a unit there is no room for a label of some length: it stands above from the start
        ...(adornment ? { inputLabel: { shrink: true } } : {}),
        htmlInput: {
          ...(input.kind === 'number' ? { inputMode: 'decimal' } : {}),
          ...(list ? { list } : {}),
          ...(isBare || described.spoken ? { 'aria-label': described.spoken ?? words } : {}),
        },
        ...(adornment
          ? {
              input:
                input.kind === 'number' && input.isBefore
                  ? { startAdornment: adornment }
                  : { endAdornment: adornment },
            }
          : {}),
      }}
    >
      {isChoice
        ? (options ?? input.options).map((option) => (
            <MenuItem key={option.id} value={option.id}>
              {option.label}
            </MenuItem>
          ))
        : undefined}
    </TextField>
  );
}

/** What a number that is not written as plainly as can be was taken for: "1½ gal" in the field's own unit, "1,000" as 1000. */
function understood(field: Fields[string], text: string, context: FieldContext): string | undefined {
  if (/^[\s\d.+-]*$/.test(text)) return undefined;
  const read = field.read(text, context);
  if (!read.ok || typeof read.value !== 'number') return undefined;
  const written = field.write(read.value, context);
  if (written === text.trim()) return undefined;
  const { input } = field;
  // a number that is written without its unit is told with it
  const isBare = input.kind === 'number' && !input.isBefore && /^[\d.]+$/.test(written);
  const unit = isBare ? input.unit?.(context) : undefined;
  return unit === undefined ? `= ${written}.` : `= ${written}\u00a0${unit}.`;
}

/** A few choices as buttons in a row, wide enough for a thumb. */
function RowOfChoices({
  label,
  options,
  value,
  onChange,
}: {
  readonly label: string;
  readonly options: readonly Option[];
  readonly value: string;
  onChange(text: string): void;
}) {
  return (
    <Box role="group" aria-label={label}>
      <Box sx={{ color: 'text.secondary', fontSize: '0.88rem', marginBlockEnd: 0.5 }}>{label}</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {options.map((option) => (
          <Button
            key={option.id}
            variant={value === option.id ? 'contained' : 'outlined'}
            aria-pressed={value === option.id}
            onClick={() => onChange(value === option.id ? '' : option.id)}
            sx={{ minHeight: 48, flex: '1 0 auto', paddingInline: 1.25 }}
          >
            {option.label}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** Fields of a form that are asked, in their order; all of them when none are named. */
export function FormFields<F extends Fields>({
  form,
  names = Object.keys(form.fields),
  autoFocus = false,
}: {
  readonly form: FieldsForm<F>;
  readonly names?: readonly (keyof F & string)[];
  /** whether the first has the focus when it comes up */
  readonly autoFocus?: boolean;
}) {
  const asked = names.filter((name) => form.isAsked(name));
  return asked.map((name, i) => (
    <FormField key={name} form={form} name={name} autoFocus={autoFocus && i === 0} />
  ));
}
