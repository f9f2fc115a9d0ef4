import { Box, Typography } from '@mui/material';
import { habitOf, type KnownVariety } from '@rundel/core/plants';
import type { Variety } from '@rundel/core/records';
import { Folded } from '../../../ui/Folded.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { FormDialog, FormField, FormFields, isWhole, useAsBegun, useFields } from '../../../ui/form/index.ts';
import { habitIdOf } from '../../../ui/planting-form.ts';
import { daysRemark } from '../../../text/variety-text.ts';
import { newId, useGarden } from '../../../store/index.ts';
import { REST, startOfVariety, varietyFields, varietyOf, varietyProblems } from './variety-form.ts';

const two = { display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: 2 } as const;

/** What the grower knows of a variety; one to begin with becomes their own when it is saved. */
export default function VarietyDialog({
  variety,
  own: current,
  onClose,
}: {
  readonly variety: KnownVariety | undefined;
  readonly own: Variety | undefined;
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin } = useGarden();
  const own = useAsBegun(current);
  const taken = garden.varieties.filter((v) => !v.binnedAt && v.id !== own?.id).map((v) => v.name);
  const form = useFields((texts) => varietyFields(texts, taken), {
    values: variety ? startOfVariety(variety) : { daysFrom: 'planting' as const },
    check: varietyProblems,
    isLive: true,
  });
  const said = isWhole(form) ? varietyOf(form.values) : undefined;
  const remark = said && daysRemark(said);
  const inUse = own && garden.plants.some((p) => p.varietyId === own.id);
  const save = form.submit(async (values) => {
    const now = clock.now();
    const facts = varietyOf(values);
    const after: Variety = own
      ? { id: own.id, createdAt: own.createdAt, ...facts, changedAt: now }
      : { id: newId('variety'), ...facts, createdAt: now, changedAt: now };
    await saveRecords([{ table: 'varieties', before: own, after }], [], `variety ${facts.name} saved`);
    onClose();
  });
  const habitId = habitIdOf(form.texts);
  const rest = REST.flatMap((name) => {
    const text = form.texts[name].trim();
    return text === '' || text === 'on' ? [] : [text];
  });
  return (
    <FormDialog
      title={variety ? variety.name : 'A variety'}
      keepAs={`variety ${own?.id ?? variety?.name ?? 'new'}`}
      onClose={onClose}
      onSubmit={save}
      submitLabel="Save"
    >
      <FormField form={form} name="name" autoFocus={!variety} />
      <Box sx={two}>
        <FormField form={form} name="cropId" />
        <FormField
          form={form}
          name="habitId"
          value={habitId}
          help={habitOf(form.texts.cropId || 'tomato', habitId).description}
        />
      </Box>
      <FormField form={form} name="bearing" />
      <FormField form={form} name="daysFrom" />
      <Box sx={two}>
        <FormField form={form} name="ripeLow" />
        <FormField form={form} name="ripeHigh" />
        <FormField form={form} name="greenLow" />
        <FormField form={form} name="greenHigh" />
        <FormField form={form} name="height" />
      </Box>
      {remark && <Typography variant="body2">{remark}</Typography>}
      <Folded
        summary={rest.length > 0 ? rest.join(', ') : 'Fruit, colour, use, seed: not said'}
        hasProblem={form.hasProblem(REST)}
      >
        <Box sx={two}>
          <FormFields form={form} names={REST} />
        </Box>
      </Folded>
      <FormField form={form} name="growAgain" />
      <FormField form={form} name="note" />
      {own && !inUse && (
        <OnceButton
          onPress={async () => {
            await bin('varieties', [own], `variety ${own.name}`);
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
