import { Box, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { clearingOf, proposedPlantingDay } from '@rundel/core/garden-state';
import { CROP_FIELDS, CropFields, cropIn } from '../CropFields.tsx';
import { dayField, FormDialog, FormField, textField, useFields } from '../form/index.ts';
import { planChanges } from '../planting-records.ts';
import { useWhen } from '../When.tsx';
import { shortDay } from '../../text/text.ts';
import { useGarden, type Bag } from '../../store/index.ts';
import { BulkDialog } from './BulkDialog.tsx';
import { labelsFor } from '../labels.ts';
import { PlantDialog } from './PlantDialog.tsx';
import { CorrectThem } from './CorrectThem.tsx';
import type { ManyAction } from './ManyBar.tsx';

interface ManyProps {
  readonly bags: readonly [Bag, ...Bag[]];
  onClose(): void;
  onDone(): void;
}

/** The dialogs for several bags that are not forms of an entry. */
export default function ManyDialogs({ action, ...props }: ManyProps & { readonly action: ManyAction }) {
  switch (action) {
    case 'plant':
      return <PlantDialog {...props} />;
    case 'change':
      return <BulkDialog {...props} />;
    case 'plan':
      return <PlanThem {...props} />;
    case 'correct':
      return <CorrectThem {...props} />;
    case 'relabel':
      return <Relabel {...props} />;
    case 'clear':
      return <ClearOut {...props} />;
  }
}

const countOf = (bags: readonly Bag[]) => `${bags.length} ${bags.length === 1 ? 'bag' : 'bags'}`;

/** What comes of it, bag by bag. */
function Preview({ lines }: { readonly lines: readonly (readonly [string, string])[] }) {
  return (
    <Box
      component="dl"
      aria-label="Preview"
      sx={{
        margin: 0,
        display: 'grid',
        gridTemplateColumns: 'auto minmax(0, 1fr)',
        columnGap: 2,
        maxHeight: 220,
        overflowY: 'auto',
        fontSize: '0.92rem',
      }}
      tabIndex={0}
    >
      {lines.map(([label, words]) => (
        <Box key={label} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ fontWeight: 700 }}>
            {label}
          </Box>
          <Box component="dd" sx={{ margin: 0 }}>
            {words}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** The plants of several bags are taken out; the bags stay. */
function ClearOut({ bags, onClose, onDone }: ManyProps) {
  const { record } = useGarden();
  const when = useWhen({ kind: 'cleared' });
  const count = bags.reduce((sum, { occupants }) => sum + occupants.length, 0);
  const clear = async () => {
    const at = when.read();
    if (at === undefined) return;
    const drafts = bags.flatMap(({ container, occupants }) => clearingOf(container.id, occupants, at));
    if (drafts.length > 0) await record(drafts, `${countOf(bags)} cleared`);
    onDone();
  };
  return (
    <FormDialog
      title={`Clear out ${countOf(bags)}`}
      onClose={onClose}
      onSubmit={clear}
      submitLabel={count === 0 ? 'Close' : `Clear ${count} ${count === 1 ? 'plant' : 'plants'} out`}
    >
      <Preview
        lines={bags.map(({ container, name, occupants }) => [
          container.label,
          occupants.length === 0 ? 'nothing in it' : `${name} goes out`,
        ])}
      />
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The bags and their diary stay; what they yielded stays in the tally.
      </Typography>
    </FormDialog>
  );
}

/** Several bags numbered on from a first label. */
function Relabel({ bags, onClose, onDone }: ManyProps) {
  const { garden, clock, saveRecords } = useGarden();
  const form = useFields({
    first: textField({ label: 'The first is called', missing: 'A number or a short name.', longest: 12 }),
  });
  const ids = new Set(bags.map(({ container }) => container.id));
  const taken = garden.containers.filter((c) => !c.binnedAt && !ids.has(c.id)).map((c) => c.label);
  const { first } = form.texts;
  const labels = first.trim() === '' ? [] : labelsFor(first.trim(), bags.length, taken);
  const isTaken = bags.length > 0 && taken.includes(labels[0] ?? '');
  const save = form.submit(async () => {
    if (isTaken) return form.refuse('first', `There is another bag ${labels[0]}.`);
    const changedAt = clock.now();
    const changes = bags.map(({ container: before }, i) => ({
      table: 'containers' as const,
      before,
      after: { ...before, label: labels[i] ?? before.label, changedAt },
    }));
    await saveRecords(changes, [], `${countOf(bags)} numbered anew`);
    onDone();
  });
  return (
    <FormDialog
      title={`New numbers for ${countOf(bags)}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Number them so"
    >
      <FormField form={form} name="first" autoFocus help='As "7" for 7, 8, 9 or "A" for A 1, A 2.' />
      <Preview
        lines={bags.map(({ container, name }, i) => [
          container.label,
          `${name}${labels[i] === undefined ? '' : ` becomes ${labels[i]}`}`,
        ])}
      />
    </FormDialog>
  );
}

/** The same crop planned for several bags, each on a day that its place allows unless one is given. */
function PlanThem({ bags, onClose, onDone }: ManyProps) {
  const { garden, clock, live, saveRecords } = useGarden();
  const form = useFields({
    ...CROP_FIELDS,
    day: dayField({ label: 'Plant on', isOptional: true }),
  });
  const { crop, habit } = cropIn(form, garden.varieties);
  const now = clock.now();
  const what = { cropId: crop.id, habitId: habit.id, varietyName: form.texts.variety };
  const { day } = form.values;
  const days = bags.map(({ container, place }) => ({
    containerId: container.id,
    plantOn: proposedPlantingDay(garden, what, place?.cover ?? 'open', live, now),
  }));
  const save = form.submit(async ({ variety, isSown, day: plantedOn }) => {
    const planned = {
      ...what,
      varietyName: variety || crop.name,
      plantName: undefined,
      practiceId: undefined,
      isSown: isSown === 'seed',
    };
    const homes = days.map((home) => (plantedOn ? { ...home, plantOn: plantedOn, isDaySaid: true } : home));
    await saveRecords(
      planChanges(planned, homes, now),
      [],
      `${crop.name.toLowerCase()} planned for ${countOf(bags)}`,
    );
    onDone();
  });
  return (
    <FormDialog
      title={`Plan for ${countOf(bags)}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Add to the plan"
    >
      <CropFields form={form} />
      <FormField form={form} name="day" help="Empty: when the place of each allows it." />
      <Preview
        lines={bags.map(({ container, occupants, name }, i) => [
          container.label,
          `${crop.name.toLowerCase()} ${
            day
              ? `on ${shortDay(day, dayOf(now))}`
              : `from about ${shortDay(days[i]?.plantOn ?? now, dayOf(now))}`
          }${occupants.length > 0 ? `, after ${name}` : ''}`,
        ])}
      />
    </FormDialog>
  );
}
