import { Box, Button, IconButton, MenuItem, TextField, Typography } from '@mui/material';
import { IconPencil, IconTrash } from '@tabler/icons-react';
import type { Measure } from '@rundel/core/records';
import { dripperLitresPerMinute, hoseLitresPerSecond, UNITS, type MeasureKind } from '@rundel/core/units';
import { useState } from 'react';
import {
  amountField,
  choiceField,
  FormDialog,
  FormField,
  FormFields,
  numberField,
  textField,
  timeField,
  useFields,
} from '../../../ui/form/index.ts';
import { measuresInUse, newId, useGarden, useUnitFormat, told } from '../../../store/index.ts';

const KINDS: Record<MeasureKind, { readonly name: string; readonly how: string }> = {
  can: { name: 'Can', how: 'What it holds when you call it full.' },
  bottle: { name: 'Bottle', how: 'What it holds when you call it full.' },
  hose: { name: 'Hose', how: 'Fill a bucket and count the seconds.' },
  dripper: { name: 'Dripper', how: 'Hold a jar under it for five minutes and measure what it caught.' },
  pot: { name: 'Sunk pot', how: 'Fill it to the rim from something that you have measured.' },
  handful: { name: 'Handful', how: 'Count your handful out in level tablespoons, once.' },
};

/** Things that give so much in a time, and the test that tells how much. */
const TESTED = {
  hose: {
    caught: 'The bucket holds',
    time: 'Seconds to fill it',
    low: 1,
    high: 3600,
    problem: 'Seconds, from 1 to 3600.',
  },
  dripper: {
    caught: 'The jar caught',
    time: 'Minutes under the dripper',
    low: 0.5,
    high: 240,
    problem: 'Minutes, from half a minute to 240.',
  },
} as const;

/** The grower's own measures; waterings are proposed in the one that is chosen. */
export default function MeasuresPanel() {
  const { garden, bin, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const [editing, setEditing] = useState<Measure | 'new'>();
  const measures = measuresInUse(garden);
  const pourable = measures.filter((m) => m.kind !== 'handful');
  return (
    <Box>
      {measures.length === 0 && (
        <Typography sx={{ marginBlockEnd: 1 }}>None yet: waterings are proposed in plain litres.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', padding: 0, margin: 0 }}>
        {measures.map((measure) => (
          <Box
            component="li"
            key={measure.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              borderBlockEnd: '1px solid var(--line)',
              minHeight: 52,
            }}
          >
            <Box sx={{ flex: 1 }}>
              <strong>{measure.name}</strong> ({KINDS[measure.kind].name.toLowerCase()}):{' '}
              {measure.kind === 'handful'
                ? `${(measure.litres / UNITS.tablespoon.factor).toFixed(1)} tablespoons`
                : measure.kind === 'dripper'
                  ? `${unitFormat.show(measure.litres * 60, 'water')} an hour`
                  : `${unitFormat.show(measure.litres, 'water')}${measure.kind === 'hose' ? ' a second' : ''}`}
            </Box>
            <IconButton
              aria-label={`Change ${measure.name}`}
              onClick={() => setEditing(measure)}
              sx={{ width: 44, height: 44 }}
            >
              <IconPencil size={20} aria-hidden />
            </IconButton>
            <IconButton
              aria-label={`Delete ${measure.name}`}
              onClick={() => told(bin('measures', [measure], measure.name))}
              sx={{ width: 44, height: 44 }}
            >
              <IconTrash size={20} aria-hidden />
            </IconButton>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', marginBlockStart: 2, alignItems: 'center' }}>
        <Button variant="outlined" onClick={() => setEditing('new')}>
          Measure another
        </Button>
        {pourable.length > 0 && (
          <TextField
            select
            label="Propose waterings in"
            value={
              pourable.some((m) => m.id === garden.settings.wateringMeasureId)
                ? garden.settings.wateringMeasureId
                : pourable[0]?.id
            }
            onChange={(e) => told(saveSettings({ ...garden.settings, wateringMeasureId: e.target.value }))}
            sx={{ minWidth: 200 }}
          >
            {pourable.map((m) => (
              <MenuItem key={m.id} value={m.id}>
                {m.name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      {editing && (
        <MeasureDialog
          measure={editing === 'new' ? undefined : editing}
          onClose={() => setEditing(undefined)}
        />
      )}
    </Box>
  );
}

const MEASURE_FIELDS = {
  kind: choiceField<MeasureKind>({
    label: 'What is it?',
    options: (Object.keys(KINDS) as MeasureKind[]).map((id) => ({ id, label: KINDS[id].name })),
  }),
  name: textField({ label: 'Name', longest: 60, missing: 'Give it a name: "green can".' }),
  litres: amountField({
    label: 'It holds',
    purpose: 'water',
    low: 0.005,
    high: 100,
  }),
  // how long a test took; how much a handful is
  seconds: timeField({ ...TESTED.hose, in: 'second', label: TESTED.hose.time }),
  minutes: timeField({ ...TESTED.dripper, in: 'minute', label: TESTED.dripper.time }),
  spoons: numberField({
    label: 'Level tablespoons in it',
    low: 0.2,
    high: 40,
    problem: 'From 0.2 to 40 tablespoons.',
  }),
};

const ASKED_OF: Readonly<Record<MeasureKind, readonly (keyof typeof MEASURE_FIELDS)[]>> = {
  can: ['kind', 'name', 'litres'],
  bottle: ['kind', 'name', 'litres'],
  pot: ['kind', 'name', 'litres'],
  hose: ['kind', 'name', 'litres', 'seconds'],
  dripper: ['kind', 'name', 'litres', 'minutes'],
  handful: ['kind', 'name', 'spoons'],
};

function MeasureDialog({ measure, onClose }: { readonly measure: Measure | undefined; onClose(): void }) {
  const { clock, saveRecords } = useGarden();
  const isTested = measure?.kind === 'hose' || measure?.kind === 'dripper';
  const form = useFields(MEASURE_FIELDS, {
    values: {
      kind: measure?.kind,
      name: measure?.name,
      // a test is done anew; what a thing holds is corrected
      litres: isTested ? undefined : measure?.litres,
      minutes: 5,
      spoons: measure?.kind === 'handful' ? measure.litres / UNITS.tablespoon.factor : undefined,
    },
    isAsked: (name, { kind }) => ASKED_OF[kind as MeasureKind].includes(name),
  });
  const kind = form.texts.kind as MeasureKind;
  const submit = form.submit(async (values) => {
    const litres = {
      hose: () => hoseLitresPerSecond(values.litres, values.seconds),
      dripper: () => dripperLitresPerMinute(values.litres, values.minutes),
      handful: () => values.spoons * UNITS.tablespoon.factor,
      can: () => values.litres,
      bottle: () => values.litres,
      pot: () => values.litres,
    }[values.kind]();
    const now = clock.now();
    const { id, createdAt } = measure ?? { id: newId('measure'), createdAt: now };
    const after: Measure = { id, kind: values.kind, name: values.name, litres, createdAt, changedAt: now };
    await saveRecords([{ table: 'measures', before: measure, after }], [], `${after.name} measured`);
    onClose();
  });
  return (
    <FormDialog
      title={measure ? `Measure ${measure.name} again` : 'Measure one of your things'}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <FormField form={form} name="kind" help={KINDS[kind].how} />
      <FormField form={form} name="name" autoFocus />
      {form.isAsked('litres') && (
        <FormField
          form={form}
          name="litres"
          {...(kind === 'hose' || kind === 'dripper' ? { label: TESTED[kind].caught } : {})}
        />
      )}
      <FormFields form={form} names={['seconds', 'minutes', 'spoons']} />
    </FormDialog>
  );
}
