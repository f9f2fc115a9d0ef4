import { Box, Button, Typography } from '@mui/material';
import { tankShares } from '@rundel/core/garden-state';
import type { Draft } from '@rundel/core/records';
import { feedAmountWords } from '../../text/feed-amount-text.ts';
import { midSentence } from '../../text/text.ts';
import { useGarden, useUnitFormat } from '../../store/index.ts';
import { draftOf } from '../entries/entry-form.ts';
import { GLANCES, tankFields, tankForm } from '../entries/tank-form.ts';
import { FormDialog, FormField, switchField, useFields } from '../form/index.ts';
import { useWhen } from '../When.tsx';
import { fedInto, useNutrient } from './nutrient.ts';
import type { TankView } from './use-tanks.ts';

/** What was found in a tank and what went in, once for all the bags on it. */
export function TankDialog({ view, onClose }: { readonly view: TankView; onClose(): void }) {
  const { garden, live, record } = useGarden();
  const unitFormat = useUnitFormat();
  const { tank, bags, course } = view;
  const nutrient = useNutrient(bags.find((b) => b.feeding?.regime));
  const when = useWhen({ kind: 'tank' });
  const form = useFields(
    { ...tankFields(tank), withNutrient: switchField({ label: 'With the nutrient of its regime' }) },
    { values: { withNutrient: nutrient !== undefined }, check: (values) => tankForm.check?.(values) ?? [] },
  );
  const { added, found, isEmptied } = form.values;
  const parts =
    nutrient && added !== undefined
      ? feedAmountWords({ amount: nutrient.dose.amount * added, unit: nutrient.dose.unit })
      : undefined;
  const over =
    added === undefined || found === undefined || isEmptied ? 0 : Math.max(0, found + added - tank.litres);
  const submit = form.submit(async (values, texts) => {
    const at = when.read();
    if (at === undefined) return;
    const entry = draftOf({ kind: 'tank', at, tankId: tank.id }, tankForm.facts(values, texts));
    const shares = tankShares(tank, garden, live);
    const fed: readonly Draft[] =
      nutrient && values.withNutrient && values.added !== undefined
        ? [...shares].flatMap(([containerId, share]) =>
            fedInto(nutrient, (values.added ?? 0) * share, { at, containerId }),
          )
        : [];
    await record([entry, ...fed], `${midSentence(tank.name)} seen to`);
    onClose();
  });
  return (
    <FormDialog
      title={tank.name}
      keepAs={`tank ${tank.id}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormField
        form={form}
        name="found"
        autoFocus
        {...(course.litres
          ? {
              help: `I expect about ${unitFormat.show(course.litres.likely, 'water')}. Empty: nobody looked.`,
            }
          : {})}
      />
      <Box role="group" aria-label="By the eye" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {GLANCES.map(({ words }) => (
          <Button
            key={words}
            variant="outlined"
            aria-pressed={form.texts.found === words}
            onClick={() => form.set('found', words)}
          >
            {words}
          </Button>
        ))}
      </Box>
      <FormField form={form} name="isEmptied" />
      <FormField form={form} name="added" />
      {over > 0.05 * tank.litres && (
        <Typography variant="body2" role="status">
          That is {unitFormat.show(over, 'water')} more than it holds: what finds no room runs over.
        </Typography>
      )}
      {nutrient && (
        <FormField
          form={form}
          name="withNutrient"
          label={
            parts === undefined
              ? `With ${midSentence(nutrient.product.name)}`
              : `With ${parts} of ${midSentence(nutrient.product.name)}${nutrient.partner ? `, then ${parts} of ${midSentence(nutrient.partner.name)}` : ''}`
          }
        />
      )}
      <FormField form={form} name="ec" />
      <FormField form={form} name="ph" />
      {when.field}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        It counts at each bag on it: {bags.map((b) => b.container.label).join(', ') || 'none yet'}.
      </Typography>
    </FormDialog>
  );
}
