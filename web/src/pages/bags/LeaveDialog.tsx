import { Typography } from '@mui/material';
import { growthOf, grewFrom, heightNow } from '@rundel/core/garden-state';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { Occupant } from '@rundel/core/plants';
import { LEAVING_REASONS, type Draft } from '@rundel/core/records';
import { titleOf } from '../../text/bag-text.ts';
import { LEAVING_WORDS, plantName } from '../../text/plant-text.ts';
import {
  choiceField,
  FormDialog,
  FormField,
  FormFields,
  optionsOf,
  textField,
  useFields,
} from '../../ui/form/index.ts';
import { useWhen } from '../../ui/When.tsx';
import { useBags, useGarden, type Bag } from '../../store/index.ts';

interface PlantProps {
  readonly bag: Bag;
  readonly occupant: Occupant;
  onClose(): void;
}

const WHY = LEAVING_REASONS.filter((why) => why !== 'moved' && why !== 'replaced');

/** A plant is gone before its bag is cleared: what it was and what it bore stays on record with its days. */
export function LeaveDialog({ bag, occupant, onClose }: PlantProps) {
  const { record } = useGarden();
  const name = plantName(occupant, bag.occupants);
  const when = useWhen({ kind: 'cleared', containerId: bag.container.id });
  const form = useFields(
    {
      why: choiceField({
        label: 'What became of it',
        options: optionsOf(LEAVING_WORDS).filter(({ id }) => WHY.some((why) => why === id)),
      }),
      note: textField({ label: 'Note', help: 'If you like.', longest: 2000, lines: 2 }),
    },
    { values: { why: 'died' } },
  );
  const save = form.submit(async ({ why, note }) => {
    const at = when.read();
    if (at === undefined) return;
    const draft: Draft<'cleared'> = {
      kind: 'cleared',
      at,
      containerId: bag.container.id,
      stationId: occupant.stationId,
      plantId: occupant.plant.id,
      ...(why === 'finished' ? {} : { why }),
      ...(note ? { note } : {}),
    };
    await record([draft], `${name} left bag ${bag.container.label}`);
    onClose();
  });
  return (
    <FormDialog title={`${name} is gone`} onClose={onClose} onSubmit={save} submitLabel="Put in the diary">
      <FormFields form={form} />
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Its place is free from then on; its diary and what it yielded stay.
      </Typography>
    </FormDialog>
  );
}

/** A plant goes from one bag to another, and keeps its age, its name and what was measured of it. */
export function MovePlantDialog({ bag, occupant, onClose }: PlantProps) {
  const { garden, live, record } = useGarden();
  const { bags } = useBags();
  const name = plantName(occupant, bag.occupants);
  const when = useWhen({ kind: 'cleared', containerId: bag.container.id });
  const homes = bags.filter(
    (other) => other !== bag && other.occupants.length < other.container.stations.length,
  );
  const form = useFields({
    bagId: choiceField({
      label: 'Into which bag',
      options: homes.map((other) => ({ id: other.container.id, label: titleOf(other) })),
    }),
  });
  const save = form.submit(async ({ bagId }) => {
    const at = when.read();
    const home = homes.find((other) => other.container.id === bagId) ?? homes[0];
    const station = home?.container.stations.find(({ id }) =>
      home.occupants.every((o) => o.stationId !== id),
    );
    if (at === undefined || !home || !station) return;
    const growth = growthOf(occupant, bag.properties, live, garden.settings);
    const { likely } = heightNow(growth, Math.max(0, daysBetween(grewFrom(occupant), dayOf(at))));
    const { planted } = occupant;
    const { buriedMillimetres = 0, seedling } = planted;
    const plant = { plantId: occupant.plant.id };
    await record(
      [
        {
          kind: 'cleared',
          at,
          containerId: bag.container.id,
          stationId: occupant.stationId,
          ...plant,
          why: 'moved',
        },
        {
          kind: 'planted',
          at,
          containerId: home.container.id,
          stationId: station.id,
          ...plant,
          isMoved: true,
          seedling: {
            stemMillimetres: Math.min(1500, Math.round(likely + buriedMillimetres)),
            // it comes with the roots that it has made
            ballMillimetres: Math.min(
              400,
              Math.round(Math.max(seedling.ballMillimetres, bag.properties.fill.mixMillimetres * 0.8)),
            ),
          },
        },
      ],
      `${name} moved to bag ${home.container.label}`,
    );
    onClose();
  });
  return (
    <FormDialog
      title={`Move ${name}`}
      onClose={onClose}
      onSubmit={homes.length === 0 ? onClose : save}
      submitLabel={homes.length === 0 ? 'Close' : 'Move it'}
    >
      {homes.length === 0 ? (
        <Typography>No other bag has room. Clear one out, or add one first.</Typography>
      ) : (
        <>
          <FormField form={form} name="bagId" />
          {when.field}
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            It keeps its name, its age and its record. Soak it first, move it in the evening, and water it in.
          </Typography>
        </>
      )}
    </FormDialog>
  );
}
