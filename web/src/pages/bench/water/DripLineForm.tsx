import { Box, Button, Checkbox, FormControlLabel, Typography } from '@mui/material';
import {
  litresADay,
  litresAWeek,
  proposeDrip,
  type DripLine,
  type DripProposal,
  type DripSetting,
} from '@rundel/core/water';
import { useState, type ReactNode } from 'react';
import { FormFields, InlineForm, isWhole, useFields } from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { useUnitFormat, type Bag, type UnitFormat } from '../../../store/index.ts';
import { WEEKDAYS } from '../../../text/rounds-text.ts';
import { DRIP_LINE_FIELDS, dripLineOf, dripLineStart, EVERY_DAY } from './drip-form.ts';

/** One line of a bag's drip as it is set, or would best be. */
export function DripLineForm({
  bag,
  line,
  others,
  wantedADay,
  when,
  onSet,
}: {
  readonly bag: Bag;
  readonly line: DripLine | undefined;
  /** the bag's other lines */
  readonly others: DripSetting | undefined;
  /** what the bag will use a day in the week to come, L */
  readonly wantedADay: number | undefined;
  /** the field for when it was set so */
  readonly when: ReactNode;
  onSet(line: DripLine): unknown;
}) {
  const unitFormat = useUnitFormat();
  const { assumed } = bag.properties;
  const form = useFields(DRIP_LINE_FIELDS, dripLineStart(line));
  const [weekdays, setWeekdays] = useState(line?.weekdays ?? EVERY_DAY);
  const typed = isWhole(form) && weekdays.length > 0 ? dripLineOf(form.values, weekdays) : undefined;
  const loss = assumed.dripLoss;
  const rest =
    wantedADay === undefined
      ? undefined
      : Math.max(0, wantedADay - ((others ? litresAWeek(others) : 0) * (1 - loss)) / 7);
  const proposal =
    typed && rest !== undefined && rest > 0
      ? proposeDrip(rest, bag.water?.availableLitres ?? bag.properties.availableLitres, { ...typed, loss })
      : undefined;
  const save = form.submit((values) =>
    weekdays.length > 0 ? onSet(dripLineOf(values, weekdays)) : undefined,
  );
  return (
    <InlineForm onSubmit={save}>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', md: 'repeat(3, 1fr)' },
        }}
      >
        <FormFields form={form} />
      </Box>
      <Box role="group" aria-label="On which days" sx={{ marginBlock: 1 }}>
        {WEEKDAYS.map((name, i) => (
          <FormControlLabel
            key={name}
            control={
              <Checkbox
                checked={weekdays.includes(i + 1)}
                onChange={(_, on) =>
                  setWeekdays(on ? [...weekdays, i + 1] : weekdays.filter((day) => day !== i + 1))
                }
              />
            }
            label={name}
          />
        ))}
        {weekdays.length === 0 && (
          <Typography role="alert" sx={{ color: 'error.main' }}>
            On one day at least, or turn it off.
          </Typography>
        )}
      </Box>
      <Typography sx={{ marginBlockEnd: 1.5 }} aria-live="polite">
        {typed && `That gives ${unitFormat.show(litresADay(typed), 'water')} on a day that it runs. `}
        {proposal && proposalWords(proposal, typed, unitFormat)}
        {rest === 0 && 'The other lines bring what the bag wants.'}
      </Typography>
      <Box sx={{ maxWidth: 420, marginBlockEnd: 1.5 }}>{when}</Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockEnd: 1 }}>
        <OnceButton variant="contained" onPress={() => save()}>
          It is set so
        </OnceButton>
        {proposal && (
          <Button
            variant="outlined"
            onClick={() => {
              form.set('minutes', String(proposal.minutes));
              form.set('timesADay', String(proposal.timesADay));
              setWeekdays(EVERY_DAY);
            }}
          >
            Take the proposal
          </Button>
        )}
      </Box>
    </InlineForm>
  );
}

/** What to set, what it brings of what is wanted, and what would close a gap. */
function proposalWords(proposal: DripProposal, line: DripLine | undefined, unitFormat: UnitFormat): string {
  const { minutes, timesADay, broughtLitresAWeek, wantedLitresAWeek, emittersWanted } = proposal;
  const show = (litres: number) => unitFormat.show(litres, 'water');
  const set = `I would set ${minutes} min ${timesADay === 1 ? 'once' : `${timesADay} times`} a day, in runs that the mix can take up: ${show(broughtLitresAWeek)} a week at the roots, of ${show(wantedLitresAWeek)} that the bag wants.`;
  const checks = 'A check at each round is still wanted: drippers clog, and no timer feels the mix.';
  if (emittersWanted === undefined) return `${set} ${checks}`;
  const more =
    line?.metres === undefined ? `${emittersWanted} such drippers` : `${emittersWanted} m of such line`;
  return `${set} That is ${show(wantedLitresAWeek - broughtLitresAWeek)} short: ${more} would bring it; until then give the rest by hand. ${checks}`;
}
