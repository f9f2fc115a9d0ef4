import { Box, Checkbox, FormControlLabel, FormGroup, Typography } from '@mui/material';
import { CHANGE_IDS, type AwayQuestion } from '@rundel/core/away';
import { format } from 'date-fns';
import { FormField, FormFields, type FieldsForm } from '../../../ui/form/index.ts';
import { Panel } from '../../../ui/Page.tsx';
import { daysBetweenOf, type AWAY_FIELDS, type AwaySets } from './away-form.ts';
import { aloneWords, CHANGE_NAMES } from './away-words.ts';

/** The question: when, who helps, what can be done. */
export function AwayFields({
  form,
  sets,
  onSets,
  question,
  measure,
}: {
  readonly form: FieldsForm<typeof AWAY_FIELDS>;
  readonly sets: AwaySets;
  onSets(next: AwaySets): void;
  /** what it comes to; undefined while something does not read */
  readonly question: AwayQuestion | undefined;
  readonly measure: { readonly name: string };
}) {
  const between = question ? daysBetweenOf(question) : [];
  const toggle = <T,>(list: readonly T[], item: T) =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item];
  return (
    <Panel title="Your time away">
      <Box sx={{ display: 'grid', gap: 2 }}>
        {(['leave', 'back'] as const).map((end) => (
          <Box key={end} sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'minmax(0, 1fr) 100px' }}>
            <FormField form={form} name={`${end}On`} />
            <FormField form={form} name={`${end}At`} />
          </Box>
        ))}
        {form.isAsked('comesBy') && (
          <>
            <FormField form={form} name="comesBy" />
            {question && !form.values.comesBy && (
              <Typography>
                {aloneWords(question, form.values.isSoaked === true && !question.isSoaked)}
              </Typography>
            )}
          </>
        )}
        <FormFields form={form} names={['risk', 'isSoaked']} />
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
                    checked={sets.allowed.includes(id)}
                    onChange={() => onSets({ ...sets, allowed: toggle(sets.allowed, id) })}
                  />
                }
                label={CHANGE_NAMES[id]}
              />
            ))}
          </FormGroup>
        </Box>
        <FormField form={form} name="hasHelper" />
        {form.isAsked('cans') && (
          <>
            <FormField form={form} name="cans" label={`Fills of your ${measure.name} on one visit`} />
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
                        checked={!sets.busyDays.includes(day)}
                        onChange={() => onSets({ ...sets, busyDays: toggle(sets.busyDays, day) })}
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
