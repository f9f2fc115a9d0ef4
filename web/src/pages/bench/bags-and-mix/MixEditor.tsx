import { Box, Button, IconButton } from '@mui/material';
import { IconTrash } from '@tabler/icons-react';
import type { OwnMix } from '@rundel/core/records';
import { INGREDIENTS, mixFrom, type Mix } from '@rundel/core/mixes';
import { useState } from 'react';
import {
  amountField,
  choiceField,
  FormDialog,
  FormField,
  numberField,
  priceField,
  textField,
  useAsBegun,
  useFields,
  type Field,
} from '../../../ui/form/index.ts';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { newId, useGarden } from '../../../store/index.ts';

const PARTS = numberField({ label: 'Parts', low: 0.01, high: 1000, problem: 'From 0.01 to 1000.' });
const INGREDIENT = choiceField({
  label: 'Ingredient',
  options: INGREDIENTS.map(({ id, name }) => ({ id, label: name })),
});
const LIME = numberField({
  label: 'Lime, grams a litre',
  help: 'Empty for none; peat wants about 3.',
  low: 0,
  high: 20,
  isOptional: true,
  problem: 'From 0 to 20 grams a litre.',
});

const PRICE = priceField({ label: 'What it comes to', help: 'If you know: it goes before its parts.' });
const PRICED_LITRES = amountField({
  label: 'For so much of it',
  help: 'As "100 L" or "1 cu ft".',
  purpose: 'bag',
  low: 0.5,
  high: 5000,
  isOptional: true,
});

/** A mix of the grower's own: a name, parts by volume, lime. */
export function MixEditor({
  record: current,
  like,
  onClose,
  onSaved,
}: {
  readonly record: OwnMix | undefined;
  /** a mix to begin from */
  readonly like: Mix | undefined;
  onClose(): void;
  onSaved(id: string): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const record = useAsBegun(current);
  const begin = record?.parts ?? (like ? sharesOf(like) : BEGINNING);
  const [rows, setRows] = useState<readonly number[]>(() => begin.map((_, i) => i));
  const taken = garden.mixes.flatMap((m) => (m.binnedAt || m.id === record?.id ? [] : [m.name]));
  const form = useFields<MixFields>(
    {
      name: textField({ label: 'Name', longest: 60, missing: 'Give it a name.', taken }),
      lime: LIME,
      price: PRICE,
      pricedLitres: PRICED_LITRES,
      ...Object.fromEntries(
        rows.flatMap((n) => [
          [`ingredient${n}`, INGREDIENT],
          [`parts${n}`, PARTS],
        ]),
      ),
    },
    {
      values: {
        name: record?.name ?? (like && `My ${like.name.toLowerCase()}`),
        lime: like && like.limeGramsPerLitre > 0 ? like.limeGramsPerLitre : undefined,
        ...(record?.pricePerLitre === undefined
          ? {}
          : { price: record.pricePerLitre * 100, pricedLitres: 100 }),
        ...Object.fromEntries(
          begin.flatMap(({ ingredientId, parts }, n) => [
            [`ingredient${n}`, ingredientId],
            [`parts${n}`, parts],
          ]),
        ),
      },
    },
  );
  const values = form.values as Readonly<Record<string, unknown>>;
  const parts = rows.map((n) => ({
    n,
    ingredientId: values[`ingredient${n}`] as string,
    parts: values[`parts${n}`] as number | undefined,
  }));
  const doubled = parts.find((part, i) => parts.findIndex((p) => p.ingredientId === part.ingredientId) < i);
  const wholeParts = parts.flatMap(({ ingredientId, parts: count }) =>
    count === undefined ? [] : [{ ingredientId, parts: count }],
  );
  const lime = form.values.lime ? { limeGramsPerLitre: form.values.lime } : {};
  const submit = form.submit(async ({ name, price, pricedLitres }) => {
    if (price !== undefined && pricedLitres === undefined)
      return form.refuse('pricedLitres', 'For how much of it is that?');
    if (doubled) return form.refuse(`ingredient${doubled.n}`, 'It is in the mix already.');
    const now = clock.now();
    const after: OwnMix = {
      id: record?.id ?? newId('mix'),
      name,
      parts: wholeParts,
      ...lime,
      ...(price === undefined || pricedLitres === undefined ? {} : { pricePerLitre: price / pricedLitres }),
      createdAt: record?.createdAt ?? now,
      changedAt: now,
    };
    await saveRecords([{ table: 'mixes', before: record, after }], [], `mix ${name} kept`);
    onSaved(after.id);
    onClose();
  });
  const bin = async () => {
    if (!record) return;
    await putInBin('mixes', [record], `mix ${record.name}`);
    onClose();
  };
  const isUsed =
    record &&
    garden.containers.some((c) => c.mixId === record.id || c.layers?.some((l) => l.mixId === record.id));
  const isWhole = wholeParts.length === rows.length && !doubled && form.texts.lime !== undefined;
  const preview = isWhole ? mixFrom({ id: 'preview', name: '', parts: wholeParts, ...lime }) : undefined;
  return (
    <FormDialog
      title={record ? `Change ${record.name}` : 'A mix of my own'}
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <FormField form={form} name="name" />
      {rows.map((n) => (
        <Box
          key={n}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 92px 44px', gap: 1, alignItems: 'start' }}
        >
          <FormField form={form} name={`ingredient${n}`} />
          <FormField form={form} name={`parts${n}`} />
          <IconButton
            aria-label="Remove this part"
            disabled={rows.length === 1}
            onClick={() => setRows((now) => now.filter((each) => each !== n))}
            sx={{ width: 44, height: 52 }}
          >
            <IconTrash size={20} aria-hidden />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="outlined"
        sx={{ alignSelf: 'flex-start' }}
        disabled={rows.length >= 12}
        onClick={() => {
          const free = INGREDIENTS.find((each) => !parts.some((p) => p.ingredientId === each.id));
          const n = Math.max(...rows) + 1;
          form.set(`ingredient${n}`, free?.id ?? 'coir');
          form.set(`parts${n}`, '1');
          setRows((now) => [...now, n]);
        }}
      >
        Another part
      </Button>
      <FormField form={form} name="lime" />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <FormField form={form} name="price" />
        <FormField form={form} name="pricedLitres" />
      </Box>
      <Box aria-live="polite" sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
        {preview
          ? `A litre holds ${Math.round(preview.capacity * 1000)} mL of water, ${Math.round((preview.capacity - preview.unavailable) * 1000)} mL of it for the plant.`
          : 'Its figures come when all parts read.'}
      </Box>
      {record &&
        (isUsed ? (
          <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
            It is in use, so it cannot be binned.
          </Box>
        ) : (
          <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
            Delete
          </OnceButton>
        ))}
    </FormDialog>
  );
}

type MixFields = {
  readonly name: Field<string>;
  readonly lime: Field<number | undefined>;
  readonly price: Field<number | undefined>;
  readonly pricedLitres: Field<number | undefined>;
  readonly [row: `ingredient${number}`]: Field<string>;
  readonly [row: `parts${number}`]: Field<number>;
};

const BEGINNING = [
  { ingredientId: 'garden-compost', parts: 1 },
  { ingredientId: 'coir', parts: 1 },
];

/** The parts of a mix in tenths. */
function sharesOf(mix: Mix): OwnMix['parts'] {
  return mix.shares.map((s) => ({ ingredientId: s.ingredient.id, parts: Math.round(s.share * 100) / 10 }));
}
