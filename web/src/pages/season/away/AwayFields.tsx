import {
  Box,
  Checkbox,
  FormControlLabel,
  FormGroup,
  MenuItem,
  Switch,
  TextField,
  Typography,
} from '@mui/material';
import { CHANGE_IDS } from '@rundel/core/away';
import { format } from 'date-fns';
import { DayField } from '../../../ui/DayField.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { daysBetweenOf, type AwayForm, type AwayReading } from './away-form.ts';
import { CHANGE_NAMES } from './away-words.ts';

const RISKS = [
  { percent: 2, label: 'Next to none: 2 in 100' },
  { percent: 5, label: 'Little: 5 in 100' },
  { percent: 10, label: 'Some: 10 in 100' },
  { percent: 25, label: 'A gamble: 25 in 100' },
] as const;

/** The question: when, who helps, what can be done. */
export function AwayFields({
  form,
  onChange,
  problems,
  measure,
}: {
  readonly form: AwayForm;
  onChange(next: AwayForm): void;
  readonly problems: Extract<AwayReading, { kind: 'refused' }>['problems'];
  readonly measure: { readonly name: string };
}) {
  const between = daysBetweenOf(form);
  const toggle = <T,>(list: readonly T[], item: T) =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item];
  return (
    <Panel title="Your time away">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <DayField
          label="Leaving, in the evening of"
          value={form.leaveOn}
          onChange={(leaveOn) => onChange({ ...form, leaveOn })}
          problem={problems.leaveOn}
        />
        <DayField
          label="Back in the evening of"
          value={form.backOn}
          onChange={(backOn) => onChange({ ...form, backOn })}
          problem={problems.backOn}
        />
        <TextField
          select
          label="Chance of losing a bag that you accept"
          value={form.riskPercent}
          onChange={(event) => onChange({ ...form, riskPercent: Number(event.target.value) })}
        >
          {RISKS.map(({ percent, label }) => (
            <MenuItem key={percent} value={percent}>
              {label}
            </MenuItem>
          ))}
        </TextField>
        <FormControlLabel
          control={
            <Switch checked={form.isSoaked} onChange={(_, isSoaked) => onChange({ ...form, isSoaked })} />
          }
          label="I water all until it runs through before leaving"
        />
        <Box role="group" aria-labelledby="away-changes">
          <Typography id="away-changes" sx={{ fontWeight: 'fontWeightMedium' }}>
            What I could do
          </Typography>
          <FormGroup>
            {CHANGE_IDS.map((id) => (
              <FormControlLabel
                key={id}
                control={
                  <Checkbox
                    checked={form.allowed.includes(id)}
                    onChange={() => onChange({ ...form, allowed: toggle(form.allowed, id) })}
                  />
                }
                label={CHANGE_NAMES[id]}
              />
            ))}
          </FormGroup>
        </Box>
        <FormControlLabel
          control={
            <Switch checked={form.hasHelper} onChange={(_, hasHelper) => onChange({ ...form, hasHelper })} />
          }
          label="Somebody could come and water"
        />
        {form.hasHelper && (
          <>
            <TextField
              label={`Fills of your ${measure.name} on one visit`}
              value={form.cans}
              onChange={(event) => onChange({ ...form, cans: event.target.value })}
              error={problems.cans !== undefined}
              helperText={problems.cans ?? 'As many as they can carry without harm.'}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <Box role="group" aria-labelledby="away-days">
              <Typography id="away-days" sx={{ fontWeight: 'fontWeightMedium' }}>
                Days on which they could come
              </Typography>
              <FormGroup sx={{ flexDirection: 'row' }}>
                {between.map((day) => (
                  <FormControlLabel
                    key={day}
                    control={
                      <Checkbox
                        checked={!form.busyDays.includes(day)}
                        onChange={() => onChange({ ...form, busyDays: toggle(form.busyDays, day) })}
                      />
                    }
                    label={format(new Date(`${day}T12:00:00`), 'EEE d')}
                  />
                ))}
              </FormGroup>
              {between.length === 0 && <Typography>There is no day between.</Typography>}
            </Box>
          </>
        )}
      </Box>
    </Panel>
  );
}
