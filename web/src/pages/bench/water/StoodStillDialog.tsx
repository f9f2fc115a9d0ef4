import { FormControlLabel, Switch, Typography } from '@mui/material';
import { addDays, dayOf } from '@rundel/core/calendar';
import { dripStoodStill, stoodStillProblem } from '@rundel/core/garden-state';
import { useState } from 'react';
import { useGarden, type Bag } from '../../../store/index.ts';
import { dayField, FormDialog, FormFields, useFields } from '../../../ui/form/index.ts';

/** A pump that failed or a tap that was shut: the days on which a drip gave nothing, told afterwards. */
export function StoodStillDialog({
  bag,
  others,
  onClose,
}: {
  readonly bag: Bag;
  /** the other bags that have a drip */
  readonly others: readonly Bag[];
  onClose(): void;
}) {
  const { clock, live, record } = useGarden();
  const today = dayOf(clock.now());
  const [isOfAll, setOfAll] = useState(others.length > 0);
  const form = useFields(
    {
      from: dayField({ label: 'The first day without it', latest: today }),
      until: dayField({
        label: 'The first day that it ran again',
        help: 'Empty: it does not run yet.',
        latest: today,
        isOptional: true,
      }),
    },
    {
      values: { from: addDays(today, -1), until: today },
      check({ from, until }) {
        const problem = from === undefined ? undefined : stoodStillProblem({ from, until }, today);
        return problem === undefined
          ? []
          : [{ at: from !== undefined && from > today ? 'from' : 'until', problem }];
      },
    },
  );
  const save = form.submit(async ({ from, until }) => {
    const bags = isOfAll ? [bag, ...others] : [bag];
    const ids = bags.map(({ container }) => container.id);
    const drafts = dripStoodStill(ids, { from, until }, live, clock.now());
    if (drafts.length === 0) return form.refuse('from', 'No drip was set then.');
    await record(drafts, 'a drip that stood still');
    return onClose();
  });
  return (
    <FormDialog
      title={isOfAll ? 'The drip stood still' : `The drip at ${bag.container.label} stood still`}
      keepAs={`stood still ${bag.container.id}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} />
      {others.length > 0 && (
        <FormControlLabel
          control={<Switch checked={isOfAll} onChange={(_, on) => setOfAll(on)} />}
          label={`At all ${others.length + 1} bags with a drip`}
          sx={{ margin: 0 }}
        />
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        How it is set stays as it was; what was watered by hand meanwhile is put down as ever.
      </Typography>
    </FormDialog>
  );
}
