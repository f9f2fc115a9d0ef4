import { Box, TextField } from '@mui/material';
import {
  type OwnProduct,
  nutrientLabelSchema,
  type ProductKind,
  type ProductUnit,
} from '@rundel/core/records';
import { useState } from 'react';
import { FormDialog } from '../../../ui/EntryDialogs.tsx';
import { Select } from '../../../ui/Select.tsx';
import { OnceButton } from '../../../ui/OnceButton.tsx';
import { newId, useGarden } from '../../../store/index.ts';

const KINDS: readonly { readonly id: ProductKind; readonly label: string }[] = [
  { id: 'amendment', label: 'Something to work into the mix' },
  { id: 'feed', label: 'A feed' },
  { id: 'support', label: 'Canes, string, cages' },
  { id: 'bag', label: 'Bags' },
  { id: 'other', label: 'Something else' },
];

const UNITS: readonly { readonly id: ProductUnit; readonly label: string }[] = [
  { id: 'kilogram', label: 'By weight' },
  { id: 'litre', label: 'By volume' },
  { id: 'piece', label: 'In pieces' },
  { id: 'metre', label: 'By length' },
];

const NUTRIENTS = [
  { key: 'n', label: 'N, %' },
  { key: 'p2o5', label: 'P₂O₅, %' },
  { key: 'k2o', label: 'K₂O, %' },
  { key: 'ca', label: 'Ca, %' },
] as const;

/** A thing that the list does not have: what it is, how it is counted, and what its label says. */
export function ProductDialog({
  product,
  onClose,
}: {
  readonly product: OwnProduct | undefined;
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin: putInBin } = useGarden();
  const [name, setName] = useState(product?.name ?? '');
  const [kind, setKind] = useState<ProductKind>(product?.kind ?? 'amendment');
  const [unit, setUnit] = useState<ProductUnit>(product?.unit ?? 'kilogram');
  const [density, setDensity] = useState(product?.kilogramsPerLitre ? String(product.kilogramsPerLitre) : '');
  const [label, setLabel] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      NUTRIENTS.map(({ key }) => [
        key,
        product?.label?.[key] === undefined ? '' : String(product.label[key]),
      ]),
    ),
  );
  const [problems, setProblems] = useState<{ name?: string; density?: string; label?: string }>({});
  const isFed = kind === 'amendment' || kind === 'feed';
  const submit = async () => {
    const trimmed = name.trim();
    if (trimmed === '') return setProblems({ name: 'Give it a name.' });
    if (garden.products.some((g) => !g.binnedAt && g.id !== product?.id && g.name === trimmed))
      return setProblems({ name: 'There is something of this name already.' });
    const kilogramsPerLitre = Number(density.replace(',', '.'));
    if (density.trim() !== '' && !(kilogramsPerLitre > 0 && kilogramsPerLitre <= 5))
      return setProblems({ density: 'Kilograms in a litre, from a little to 5.' });
    const hasLabel = isFed && NUTRIENTS.some(({ key }) => (label[key] ?? '').trim() !== '');
    const percent = (key: string) => Number((label[key] ?? '').replace(',', '.') || '0');
    const read = nutrientLabelSchema.safeParse({
      n: percent('n'),
      p2o5: percent('p2o5'),
      k2o: percent('k2o'),
      ...((label['ca'] ?? '').trim() === '' ? {} : { ca: percent('ca') }),
      ...(product?.label?.mg === undefined ? {} : { mg: product.label.mg }),
    });
    if (hasLabel && !read.success) {
      return setProblems({ label: 'Percentages from 0 to 100, and no more than 100 in all.' });
    }
    const now = clock.now();
    const after: OwnProduct = {
      id: product?.id ?? newId('product'),
      name: trimmed,
      kind,
      unit,
      ...(hasLabel && read.success ? { label: read.data } : {}),
      ...(density.trim() === '' ? {} : { kilogramsPerLitre }),
      ...(product?.isDusty === undefined ? {} : { isDusty: product.isDusty }),
      ...(product?.feed ? { feed: product.feed } : {}),
      createdAt: product?.createdAt ?? now,
      changedAt: now,
    };
    // a new thing stands in the shed at once, with none of it there
    const counted = product ? [] : [{ kind: 'counted' as const, at: now, productId: after.id, amount: 0 }];
    await saveRecords([{ table: 'products', before: product, after }], counted, `${trimmed} kept`);
    onClose();
    return undefined;
  };
  const bin = async () => {
    if (!product) return;
    await putInBin('products', [product], product.name);
    onClose();
  };
  return (
    <FormDialog
      title={product ? `Change ${product.name}` : 'Something not in the list'}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      <TextField
        label="Name"
        value={name}
        autoFocus
        onChange={(e) => setName(e.target.value.slice(0, 60))}
        error={problems.name !== undefined}
        helperText={problems.name}
      />
      <Select label="What it is" value={kind} onChange={setKind} options={KINDS} />
      <Select label="Counted" value={unit} onChange={setUnit} options={UNITS} />
      {isFed && (
        <>
          <Box
            role="group"
            aria-label="What its label says"
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1 }}
          >
            {NUTRIENTS.map(({ key, label: nutrient }) => (
              <TextField
                key={key}
                label={nutrient}
                value={label[key] ?? ''}
                onChange={(e) => setLabel((now) => ({ ...now, [key]: e.target.value }))}
                error={problems.label !== undefined}
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              />
            ))}
          </Box>
          {problems.label && (
            <Box role="alert" sx={{ color: 'error.main', fontSize: '0.88rem' }}>
              {problems.label}
            </Box>
          )}
          <TextField
            label="A litre of it weighs, kg"
            value={density}
            onChange={(e) => setDensity(e.target.value)}
            error={problems.density !== undefined}
            helperText={problems.density ?? 'Needed to count it by spoons; weigh a jar of it.'}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
        </>
      )}
      {product && (
        <OnceButton onPress={() => bin()} sx={{ alignSelf: 'flex-start' }}>
          Delete
        </OnceButton>
      )}
    </FormDialog>
  );
}
