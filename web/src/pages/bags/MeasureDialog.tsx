import type { Draft } from '@rundel/core/records';
import { heightField } from '../../ui/entries/plant-forms.ts';
import { amountField, FormDialog, FormFields, useFields, type Field } from '../../ui/form/index.ts';
import { useGarden, type Bag } from '../../store/index.ts';

/** A tape and a thermometer at a bag: the heights of its plants above the mix, and how warm the mix is. */
export function MeasureDialog({ bag, onClose }: { readonly bag: Bag; onClose(): void }) {
  const { clock, record } = useGarden();
  const { occupants, container } = bag;
  const heights = Object.fromEntries(
    occupants.map(({ plant, variety, position }) => [
      plant.id,
      heightField(
        occupants.length > 1
          ? `Height of ${plant.name ?? variety.name}, place ${position + 1}`
          : 'Height above the mix',
        'From the mix to the tip.',
      ),
    ]),
  );
  const mixCelsius: Field<number | undefined> = amountField({
    label: 'How warm the mix is',
    help: 'A finger deep, in the morning. Empty: not measured.',
    purpose: 'temperature',
    low: -10,
    high: 60,
    isOptional: true,
  });
  const form = useFields<Readonly<Record<string, Field<number | undefined>>>>({ ...heights, mixCelsius });
  const submit = form.submit(async (values, texts) => {
    const base = { at: clock.now(), containerId: container.id };
    const drafts: Draft[] = occupants.flatMap(({ plant, stationId }) => {
      const height = values[plant.id];
      if (height === undefined) return [];
      const asEntered = texts[plant.id]?.trim();
      return [
        {
          kind: 'height' as const,
          ...base,
          stationId,
          plantId: plant.id,
          heightMillimetres: Math.round(height),
          ...(asEntered ? { asEntered } : {}),
        },
      ];
    });
    const warmth = values['mixCelsius'];
    if (warmth !== undefined) drafts.push({ kind: 'warmth', ...base, mixCelsius: warmth });
    if (drafts.length === 0)
      return form.refuse(occupants[0]?.plant.id ?? 'mixCelsius', 'Give a height or a temperature.');
    await record(drafts, `measured at ${container.label}`);
    onClose();
  });
  return (
    <FormDialog
      title={`Measure at bag ${container.label}`}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Put in the diary"
    >
      <FormFields form={form} autoFocus />
    </FormDialog>
  );
}
