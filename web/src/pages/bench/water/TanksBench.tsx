import { Box, Button, IconButton, Typography } from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import { dayOf } from '@rundel/core/calendar';
import type { Tank } from '@rundel/core/records';
import { useState } from 'react';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import {
  amountField,
  FormDialog,
  FormField,
  FormFields,
  textField,
  useFields,
} from '../../../ui/form/index.ts';
import { BagMarks } from '../../../ui/BagChooser.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { TankState } from '../../../ui/tanks/TankState.tsx';
import { usedPerDay, useTanks } from '../../../ui/tanks/use-tanks.ts';
import { newId, told, useBags, useGarden, useUnitFormat, type RecordChange } from '../../../store/index.ts';

/** Drums, tanks and channels from which several bags drink: one level, one job, EC and pH once. */
export default function TanksBench() {
  const { bin } = useGarden();
  const views = useTanks();
  const [edited, setEdited] = useState<Tank | 'new'>();
  return (
    <Box>
      {views.length === 0 && (
        <Panel title="No shared tank yet">
          <Typography sx={{ marginBlockEnd: 2 }}>
            One drum, tank or channel for several bags is entered once, and its level, top-ups, EC and pH
            count at each of them. A reservoir or a drum of one bag’s own is said on that bag’s page.
          </Typography>
          <Button variant="contained" onClick={() => setEdited('new')}>
            Add a tank
          </Button>
        </Panel>
      )}
      {views.map((view) => (
        <Panel key={view.tank.id} title={view.tank.name}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, marginBlockEnd: 1 }}>
            <Typography sx={{ flex: 1, color: 'text.secondary' }}>
              {view.bags.length === 0
                ? 'No bag is on it yet.'
                : `For ${view.bags.length === 1 ? 'bag' : 'bags'} ${view.bags.map((b) => b.container.label).join(', ')}.`}
            </Typography>
            <IconButton
              aria-label={`Change ${view.tank.name}`}
              onClick={() => setEdited(view.tank)}
              sx={ICON}
            >
              <IconPencil size={20} aria-hidden />
            </IconButton>
            <IconButton
              aria-label={`Delete ${view.tank.name}`}
              onClick={() => told(bin('tanks', [view.tank], view.tank.name))}
              sx={ICON}
            >
              <IconTrash size={20} aria-hidden />
            </IconButton>
          </Box>
          <TankState view={view} />
        </Panel>
      ))}
      {views.length > 0 && (
        <Button variant="outlined" onClick={() => setEdited('new')} sx={{ marginBlockEnd: 2 }}>
          Add another tank
        </Button>
      )}
      <CautionOf id="tanks" />
      {edited && (
        <EditTank tank={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />
      )}
    </Box>
  );
}

const ICON = { width: 48, height: 48 } as const;

const FIELDS = {
  name: textField({
    label: 'What you call it',
    missing: 'Give it a name: "blue drum" will do.',
    longest: 60,
  }),
  litres: amountField({
    label: 'Holds, when full',
    help: 'As "120 L" or "55 us gal".',
    missing: 'How much goes in?',
    purpose: 'bag',
    low: 1,
    high: 20_000,
    inMeasures: true,
  }),
  refill: amountField({
    label: 'Topped up when down to',
    help: 'Empty: a quarter.',
    purpose: 'bag',
    low: 0,
    high: 20_000,
    isOptional: true,
  }),
} as const;

/** A tank and the bags on it. */
function EditTank({ tank, onClose }: { readonly tank: Tank | undefined; onClose(): void }) {
  const { garden, clock, saveRecords } = useGarden();
  const { bags } = useBags();
  const [ids, setIds] = useState<readonly string[]>(() =>
    tank ? garden.containers.filter((c) => c.tankId === tank.id).map(({ id }) => id) : [],
  );
  const form = useFields(FIELDS, {
    values: { name: tank?.name, litres: tank?.litres, refill: tank?.refillLitres },
    check: ({ litres, refill }) =>
      litres !== undefined && refill !== undefined && refill >= litres
        ? [{ at: 'refill', problem: 'That is all of it or more: it would always want topping up.' }]
        : [],
  });
  const unitFormat = useUnitFormat();
  const perDay = usedPerDay(
    bags.filter((b) => ids.includes(b.container.id)),
    dayOf(clock.now()),
  );
  const { litres } = form.values;
  const small =
    litres !== undefined && perDay > litres
      ? `Its bags use about ${unitFormat.show(perDay, 'water')} a day: it is empty before a day is over.`
      : undefined;
  const save = form.submit(async ({ name, litres, refill }) => {
    const now = clock.now();
    const { refillLitres: _, ...kept } = tank ?? { id: newId('tank'), createdAt: now };
    const after: Tank = {
      ...kept,
      name,
      litres,
      ...(refill === undefined ? {} : { refillLitres: refill }),
      changedAt: now,
    };
    const moved = garden.containers.flatMap((before): RecordChange[] => {
      const isIn = ids.includes(before.id);
      if (isIn === (before.tankId === after.id)) return [];
      const { tankId: __, ...rest } = before;
      const changed = { ...rest, ...(isIn ? { tankId: after.id } : {}), changedAt: now };
      return [{ table: 'containers', before, after: changed }];
    });
    await saveRecords([{ table: 'tanks', before: tank, after }, ...moved], [], `${name} saved`);
    onClose();
  });
  return (
    <FormDialog
      title={tank ? tank.name : 'A tank for several bags'}
      keepAs={`tank record ${tank?.id ?? 'new'}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Save"
    >
      <FormFields form={form} autoFocus={!tank} names={['name', 'litres']} />
      {small && (
        <Typography variant="body2" role="status">
          {small}
        </Typography>
      )}
      <FormField form={form} name="refill" />
      <Box>
        <Typography sx={{ fontWeight: 700, marginBlockEnd: 0.5 }}>Bags on this tank</Typography>
        <BagMarks
          bags={bags}
          chosen={bags.filter((b) => ids.includes(b.container.id))}
          onChange={setIds}
          label="Bags on this tank"
        />
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        They share it by the leaf that stands in each. Until roots are seen to be down, each is watered from
        the top as well.
      </Typography>
    </FormDialog>
  );
}
