import { Box, Button, Typography } from '@mui/material';
import { useRef, useState } from 'react';
import { titleOf } from '../../text/bag-text.ts';
import { FromScale } from '../../ui/entries/FromScale.tsx';
import { checkOf, draftOf } from '../../ui/entries/entry-form.ts';
import { pickingDoubt } from '../../ui/entries/picking-doubt.ts';
import { pickingAsked, pickingForm } from '../../ui/entries/plant-forms.ts';
import { FormDialog, FormFields, useFields } from '../../ui/form/index.ts';
import { Remark } from '../../ui/Remark.tsx';
import { HarvestHold } from '../../ui/care/HarvestHold.tsx';
import { useGarden, useUnitFormat, type Bag } from '../../store/index.ts';

/** Bowls at the kitchen scale, one bag after another: a weight, Enter, the next bag. */
export default function WeighInRow({ bags, onClose }: { readonly bags: readonly Bag[]; onClose(): void }) {
  const { garden, live, clock, record } = useGarden();
  const unitFormat = useUnitFormat();
  const [at, setAt] = useState(0);
  const [asked, setAsked] = useState<string>();
  const [kept, setKept] = useState<readonly string[]>([]);
  const top = useRef<HTMLElement>(null);
  const bag = bags[at];
  const form = useFields(pickingForm.fields({ garden, unitFormat }), {
    ...checkOf(pickingForm),
    isAsked: pickingAsked(bag ? [bag] : []),
  });
  const goTo = (next: number) => {
    setAsked(undefined);
    // how ripe and what becomes of it is the same for the whole table, as a rule
    const { stage, use } = form.values;
    form.begin({ stage, use });
    setAt(next);
    top.current?.closest('form')?.querySelector('input')?.focus();
  };
  const next = form.submit(async (values, texts) => {
    if (!bag) return;
    const now = clock.now();
    const facts = pickingForm.facts(values, texts);
    const doubt = pickingDoubt(values, [bag], now, { garden, live, unitFormat });
    if (doubt !== undefined && doubt !== asked) {
      setAsked(doubt);
      return;
    }
    await record(
      [draftOf({ kind: 'picking', at: now, containerId: bag.container.id }, facts)],
      `picking from ${bag.container.label}`,
    );
    const amount =
      values.kilograms !== undefined
        ? unitFormat.show(values.kilograms, 'crop')
        : values.count === undefined
          ? 'not weighed'
          : `${values.count} fruit`;
    setKept([...kept, `${bag.container.label}: ${amount}`]);
    if (at + 1 < bags.length) goTo(at + 1);
    else onClose();
  });
  if (!bag) return null;
  return (
    <FormDialog
      title={`Weigh: ${titleOf(bag)}`}
      keepAs="weigh in a row"
      onClose={onClose}
      onSubmit={next}
      submitLabel={at + 1 < bags.length ? 'Next bag' : 'Last one: done'}
    >
      <Box ref={top} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="body2" sx={{ color: 'text.secondary', flex: 1 }} role="status">
          Bag {at + 1} of {bags.length}.
          {kept.length > 0 ? ` In the diary: ${kept.slice(-4).join('; ')}.` : ''}
        </Typography>
        <Button disabled={at === 0} onClick={() => goTo(at - 1)}>
          Back
        </Button>
        <Button disabled={at + 1 >= bags.length} onClick={() => goTo(at + 1)}>
          Nothing here
        </Button>
      </Box>
      <HarvestHold bags={[bag]} />
      <FromScale onWeight={(text) => form.set('kilograms', text)} />
      <FormFields form={form} autoFocus />
      {asked && <Remark role="alert">{asked} Press again if it is right.</Remark>}
    </FormDialog>
  );
}
