import { Typography } from '@mui/material';
import { kilowattHours } from '@rundel/core/stock';
import type { Draft } from '@rundel/core/records';
import { useState, type ReactNode } from 'react';
import { BagMarks } from './BagChooser.tsx';
import { CautionOf } from './CautionOf.tsx';
import { spentForm, workedForm } from './entries/stock-forms.ts';
import { FormDialog, FormField, FormFields, numberField, priceField, useFields } from './form/index.ts';
import { useBags, useGarden, useMoney, useUnitFormat } from '../store/index.ts';

interface SpendProps {
  onClose(): void;
}

/** Money spent, current for lamps by their watts, or minutes worked: for some bags, or shared among all. */
export function SpendDialog({ what, onClose }: SpendProps & { readonly what: 'spent' | 'lamps' | 'worked' }) {
  const Form = { spent: Spent, lamps: Lamps, worked: Worked }[what];
  return <Form onClose={onClose} />;
}

/** The frame of all three: their fields, and which bags it was for. */
function useSpendFrame({ onClose }: SpendProps) {
  const { clock, record } = useGarden();
  const { bags } = useBags();
  const [containerIds, setIds] = useState<readonly string[]>([]);
  const base = { at: clock.now(), containerIds: [...containerIds] };
  return {
    base,
    async keep(draft: Draft, words: string) {
      await record([draft], words);
      onClose();
    },
    frame: (title: string, submit: () => unknown, fields: ReactNode) => (
      <FormDialog title={title} onClose={onClose} onSubmit={submit} submitLabel="Put in the diary">
        {fields}
        <Typography variant="body2">For which bags? None chosen: shared among all.</Typography>
        <BagMarks
          bags={bags}
          chosen={bags.filter((b) => containerIds.includes(b.container.id))}
          onChange={setIds}
        />
      </FormDialog>
    ),
  };
}

function Spent(props: SpendProps) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const { base, keep, frame } = useSpendFrame(props);
  const form = useFields(spentForm.fields({ garden, unitFormat }));
  const submit = form.submit(({ on, price = 0, seasons }) =>
    keep(
      { kind: 'spent', ...base, on, price, ...(seasons === undefined ? {} : { seasons }) },
      `spent on ${on}`,
    ),
  );
  return frame('Money spent', submit, <FormFields form={form} autoFocus />);
}

function Worked(props: SpendProps) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const { base, keep, frame } = useSpendFrame(props);
  const form = useFields(workedForm.fields({ garden, unitFormat }));
  const submit = form.submit(({ minutes, during }) =>
    keep({ kind: 'worked', ...base, minutes, ...(during ? { during } : {}) }, `${minutes} minutes of work`),
  );
  const help =
    garden.settings.hourValue === undefined
      ? 'As "40" or "1 h 20". They count by the hour under "Worth it", and in the costs once an hour of your work has a value.'
      : 'As "40" or "1 h 20".';
  return frame(
    'Minutes worked',
    submit,
    <>
      <FormField form={form} name="minutes" autoFocus help={help} />
      <FormField form={form} name="during" />
    </>,
  );
}

const LAMP_FIELDS = {
  watts: numberField({ label: 'Watts, all lamps together', unit: 'W', sign: 'W', low: 0.1, high: 100_000 }),
  hours: numberField({ label: 'Hours a day', unit: 'h', sign: 'h', low: 0.1, high: 24 }),
  days: numberField({ label: 'Days', low: 0.1, high: 366 }),
  tariff: priceField({ label: 'A kilowatt-hour costs', missing: 'What does a kilowatt-hour cost?' }),
};

function Lamps(props: SpendProps) {
  const { garden } = useGarden();
  const money = useMoney();
  const { base, keep, frame } = useSpendFrame(props);
  const form = useFields(LAMP_FIELDS, {
    values: { hours: 14, tariff: garden.settings.kilowattHourPrice },
  });
  const { watts, hours, days, tariff } = form.values;
  const used = watts && hours && days && kilowattHours(watts, hours, days);
  const submit = form.submit((values, texts) =>
    keep(
      {
        kind: 'spent',
        ...base,
        on: 'current',
        price: kilowattHours(values.watts, values.hours, values.days) * (values.tariff ?? 0),
        asEntered: `${texts.watts} W, ${texts.hours} h a day, ${texts.days} days`,
      },
      'current for lamps',
    ),
  );
  return frame(
    'Current for lamps',
    submit,
    <>
      <FormFields form={form} autoFocus />
      <Typography aria-live="polite">
        {used
          ? `${used.toFixed(1)} kWh${tariff === undefined ? '' : `, ${money.show(used * tariff)}`}.`
          : 'Watts × hours × days ÷ 1000.'}
      </Typography>
      <CautionOf id="electricity" />
    </>,
  );
}
