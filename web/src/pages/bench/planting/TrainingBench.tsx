import { sentence } from '../../../text/text.ts';
import { Box, FormControlLabel, Switch, Typography } from '@mui/material';
import {
  formOfPlant,
  ruleKey,
  TRAINING_FORMS,
  type TrainingForm,
  type TrainingRule,
} from '@rundel/core/care';
import { useState } from 'react';
import { Link } from 'react-router';
import { MARK_WORDS, TrainingDrawing } from '../../../section/care/TrainingDrawing.tsx';
import { inUnits } from '../../../text/in-units.ts';
import { TENDED_WORDS } from '../../../text/tended-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import {
  told,
  useBags,
  useGarden,
  useUnitFormat,
  type Bag,
  type RecordChange,
} from '../../../store/index.ts';

/** What each form asks for, with where to cut; the grower's own ways go before what is usual. */
export default function TrainingBench() {
  const { bags } = useBags();
  const used = (form: TrainingForm) =>
    bags.filter((b) => b.occupants.some((o) => formOfPlant(o, b.container.support.kind) === form.id));
  const [id, setId] = useState(
    () => TRAINING_FORMS.find((f) => used(f).length > 0)?.id ?? TRAINING_FORMS[0]?.id ?? 'one-leader',
  );
  const form = TRAINING_FORMS.find((f) => f.id === id) ?? (TRAINING_FORMS[0] as TrainingForm);
  const here = used(form);
  return (
    <Panel>
      <Box sx={{ maxWidth: 420, marginBlockEnd: 2 }}>
        <Select
          label="Form"
          value={form.id}
          options={TRAINING_FORMS.map((f) => ({ id: f.id, label: f.name }))}
          onChange={setId}
        />
      </Box>
      <Typography sx={{ fontSize: '1.1rem' }}>{form.description}</Typography>
      <Typography sx={{ color: 'text.secondary', marginBlockEnd: 2 }}>
        {here.length === 0 ? (
          'None of your plants is trained so. How each is trained is chosen on its bag’s page.'
        ) : (
          <>
            Trained so: {here.length === 1 ? 'bag' : 'bags'}{' '}
            {here.map(({ container }, i) => (
              <span key={container.id}>
                {i > 0 && ', '}
                <Link to={`/bags/${container.id}`} style={{ color: 'inherit' }}>
                  {container.label}
                </Link>
              </span>
            ))}
            .
          </>
        )}
      </Typography>
      {form.rules.map((rule) => (
        <OneRule key={rule.task} form={form} rule={rule} />
      ))}
      <LeftUndone bags={here} />
      {form.rules.length > 0 && <CautionOf id="blades" />}
    </Panel>
  );
}

function OneRule({ form, rule }: { readonly form: TrainingForm; readonly rule: TrainingRule }) {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const key = ruleKey(form.id, rule.task);
  const isOn = garden.settings.training?.[key] ?? rule.isUsual;
  const turn = (on: boolean) =>
    saveSettings({ ...garden.settings, training: { ...garden.settings.training, [key]: on } });
  const kinds = [...new Set(rule.marks.map(({ kind }) => kind))];
  return (
    <Box
      component="section"
      aria-label={rule.what}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '112px minmax(0, 1fr)', sm: '160px minmax(0, 1fr)' },
        gap: { xs: 1.5, sm: 2.5 },
        borderBlockStart: '1px solid var(--line)',
        paddingBlock: 1.5,
      }}
    >
      <TrainingDrawing formId={form.id} marks={rule.marks} title={`${rule.what}: where`} height={210} />
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h3" component="h2">
          {rule.what}
        </Typography>
        <Typography>
          {sentence(rule.why)}. {inUnits(rule.how, unitFormat)}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlock: 0.5 }}>
          {kinds.map((kind) => MARK_WORDS[kind]).join('; ')}.{rule.isUnderCover ? ' Under a roof only.' : ''}
          {rule.isUsual ? '' : ' One practice among others.'}
        </Typography>
        <FormControlLabel
          control={<Switch checked={isOn} onChange={(_, on) => told(turn(on))} />}
          label="I do this"
        />
      </Box>
    </Box>
  );
}

/** What is never done on single plants, and can be taken up again. */
function LeftUndone({ bags }: { readonly bags: readonly Bag[] }) {
  const { clock, saveRecords } = useGarden();
  const plants = bags.flatMap((bag) =>
    bag.occupants.flatMap(({ plant, variety }) =>
      plant.leftUndone && plant.leftUndone.length > 0 ? [{ bag, plant, variety }] : [],
    ),
  );
  if (plants.length === 0) return null;
  return (
    <Box component="ul" aria-label="Left undone on single plants" sx={{ paddingInlineStart: 2.5 }}>
      {plants.map(({ bag, plant, variety }) => (
        <li key={plant.id}>
          Bag {bag.container.label}, {plant.name ?? variety.name}: never{' '}
          {plant.leftUndone?.map((task) => TENDED_WORDS[task].toLowerCase()).join(', ')}.{' '}
          <Box
            component="button"
            type="button"
            onClick={() => {
              const { leftUndone: _, ...rest } = plant;
              const change: RecordChange = {
                table: 'plants',
                before: plant,
                after: { ...rest, changedAt: clock.now() },
              };
              told(saveRecords([change], [], `training at ${bag.container.label}`));
            }}
            sx={{
              border: 0,
              background: 'none',
              color: 'inherit',
              font: 'inherit',
              textDecoration: 'underline',
            }}
          >
            Do it again
          </Box>
        </li>
      ))}
    </Box>
  );
}
