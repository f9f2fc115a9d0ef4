import { Box, Button, Typography } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import { batchCourse, cropOf, type BatchCourse, type KnownVariety } from '@rundel/core/plants';
import type { Batch, Variety } from '@rundel/core/records';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../../ui/Page.tsx';
import { choiceField, FormDialog, FormFields, useFields } from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { plantingQuery } from '../../../ui/planting-form.ts';
import { varietyFor } from '../../../ui/planting-records.ts';
import { shortDay } from '../../../text/text.ts';
import { newId, told, useGarden } from '../../../store/index.ts';
import { batchFields } from './variety-form.ts';

/** Older than this a batch that nobody counted is over, days. */
const OVER_DAYS = 150;

/** What was sown and is still being raised: when it comes up, when it is ready, how many are left. */
export function BatchesPanel({ varieties }: { readonly varieties: readonly KnownVariety[] }) {
  const { garden, clock, saveRecords } = useGarden();
  const [edited, setEdited] = useState<{ readonly batch: Batch | undefined }>();
  const today = dayOf(clock.now());
  const courses = garden.batches.flatMap((batch) => {
    const variety = garden.varieties.find((v) => v.id === batch.varietyId);
    if (batch.binnedAt || !variety) return [];
    const course = batchCourse(batch, cropOf(variety.cropId), garden.plants);
    const isOver =
      course.left === 0 ||
      (course.left === undefined &&
        (course.planted > 0 || !batch.sownOn || daysBetween(batch.sownOn, today) > OVER_DAYS));
    return isOver ? [] : [{ batch, variety, course }];
  });
  const comeUp = (batch: Batch, name: string) =>
    saveRecords(
      [{ table: 'batches', before: batch, after: { ...batch, cameUpOn: today, changedAt: clock.now() } }],
      [],
      `${name} came up`,
    );
  return (
    <Panel title="Being raised">
      {courses.length === 0 && (
        <Typography sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
          Nothing is being raised. What you sow in pots or trays stands here until it is planted or given
          away; seed sown straight into a bag is recorded at the bag.
        </Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', margin: 0, marginBlockEnd: 1, padding: 0 }}>
        {courses.map(({ batch, variety, course }) => (
          <Box
            component="li"
            key={batch.id}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              alignItems: 'center',
              gap: 1,
              borderBlockEnd: '1px solid var(--line)',
              paddingBlock: 0.5,
            }}
          >
            <Box sx={{ flex: '1 1 260px' }}>
              <strong>{batch.name ? `${variety.name}, ${batch.name}` : variety.name}</strong>:{' '}
              {courseWords(batch, course, today)}
            </Box>
            {!batch.cameUpOn && <OnceButton onPress={() => comeUp(batch, variety.name)}>Came up</OnceButton>}
            <Button
              size="small"
              onClick={() => setEdited({ batch })}
              aria-label={`Change the ${variety.name} sown`}
            >
              Change
            </Button>
            <Button
              size="small"
              component={Link}
              to={`/round/planting?${plantingQuery({ cropId: variety.cropId, habitId: variety.habitId, varietyName: variety.name, ...(batch.sownOn ? { sownOn: batch.sownOn } : {}) })}`}
            >
              Plant them
            </Button>
          </Box>
        ))}
      </Box>
      <Button variant="outlined" onClick={() => setEdited({ batch: undefined })}>
        Add a sowing
      </Button>
      {edited && (
        <BatchDialog batch={edited.batch} varieties={varieties} onClose={() => setEdited(undefined)} />
      )}
    </Panel>
  );
}

/** "sown 12 Mar, 30 days ago; up about 18 to 24 Mar; ready from 16 Apr; 8 left" */
function courseWords(batch: Batch, { up, ready, planted, left }: BatchCourse, today: string): string {
  const parts = [
    batch.sownOn
      ? `sown ${shortDay(batch.sownOn, today)}, ${daysBetween(batch.sownOn, today)} days ago`
      : 'sown on no known day',
    up
      ? up.isSeen
        ? `up since ${shortDay(up.from, today)}`
        : `up about ${shortDay(up.from, today)} to ${shortDay(up.to, today)}`
      : batch.sownOn && batch.raisedAtCelsius !== undefined
        ? 'too cold there to come up'
        : '',
    ready ? `ready to plant ${shortDay(ready.from, today)} to ${shortDay(ready.to, today)}` : '',
    planted > 0 ? `${planted} planted` : '',
    left === undefined ? '' : `${left} left`,
  ];
  return `${parts.filter(Boolean).join('; ')}.`;
}

function BatchDialog({
  batch,
  varieties,
  onClose,
}: {
  readonly batch: Batch | undefined;
  readonly varieties: readonly KnownVariety[];
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin } = useGarden();
  const today = dayOf(clock.now());
  const key = (v: KnownVariety) => `${v.cropId} ${v.name}`;
  const of = batch && garden.varieties.find((v) => v.id === batch.varietyId);
  const form = useFields(
    {
      variety: choiceField({
        label: 'Variety',
        options: varieties.map((v) => ({
          id: key(v),
          label: `${v.name}, ${cropOf(v.cropId).name.toLowerCase()}`,
        })),
      }),
      ...batchFields(today),
    },
    {
      values: batch
        ? {
            ...(of ? { variety: key(of) } : {}),
            ...(batch.sownOn ? { sownOn: batch.sownOn } : {}),
            ...(batch.cameUpOn ? { cameUpOn: batch.cameUpOn } : {}),
            ...(batch.name ? { name: batch.name } : {}),
            ...(batch.seeds === undefined ? {} : { seeds: batch.seeds }),
            ...(batch.cameUp === undefined ? {} : { cameUp: batch.cameUp }),
            ...(batch.givenAway === undefined ? {} : { givenAway: batch.givenAway }),
            ...(batch.raisedAtCelsius === undefined ? {} : { raisedAt: batch.raisedAtCelsius }),
            light: batch.light ?? '',
          }
        : { sownOn: today },
      check: ({ sownOn, cameUpOn, seeds, cameUp }) => [
        ...(sownOn && cameUpOn && cameUpOn < sownOn
          ? [{ at: 'cameUpOn' as const, problem: 'That is before it was sown.' }]
          : []),
        ...(seeds !== undefined && cameUp !== undefined && cameUp > seeds
          ? [{ at: 'cameUp' as const, problem: 'More came up than were sown.' }]
          : []),
      ],
    },
  );
  const save = form.submit(async (values) => {
    const named = varieties.find((v) => key(v) === values.variety);
    if (!named) return;
    const now = clock.now();
    const { variety, changes } = varietyFor({ ...named, varietyName: named.name }, garden.varieties, now);
    const { sownOn, cameUpOn, name, seeds, cameUp, givenAway, raisedAt, light } = values;
    const after: Batch = {
      id: batch?.id ?? newId('batch'),
      varietyId: (variety as Variety).id,
      ...(sownOn ? { sownOn } : {}),
      ...(cameUpOn ? { cameUpOn } : {}),
      ...(name ? { name } : {}),
      ...(seeds ? { seeds } : {}),
      ...(cameUp === undefined ? {} : { cameUp }),
      ...(givenAway === undefined ? {} : { givenAway }),
      ...(raisedAt === undefined ? {} : { raisedAtCelsius: raisedAt }),
      ...(light ? { light } : {}),
      createdAt: batch?.createdAt ?? now,
      changedAt: now,
    };
    await saveRecords(
      [...changes, { table: 'batches', before: batch, after }],
      [],
      `sowing of ${variety.name}`,
    );
    onClose();
  });
  return (
    <FormDialog
      title={batch ? 'What was sown' : 'A sowing'}
      keepAs={`batch ${batch?.id ?? 'new'}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Save"
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: 2 }}>
        <FormFields form={form} />
      </Box>
      {batch && (
        <OnceButton
          onPress={() => {
            told(bin('batches', [batch], 'sowing'));
            onClose();
          }}
          sx={{ alignSelf: 'flex-start' }}
        >
          Delete
        </OnceButton>
      )}
    </FormDialog>
  );
}
