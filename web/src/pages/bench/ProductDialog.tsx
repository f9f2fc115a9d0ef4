import { Alert, Box, FormHelperText, TextField } from '@mui/material';
import { type Draft, type OwnProduct, FEED_FORMS, FEED_UNITS, type Product } from '@rundel/core/records';
import { productsIn } from '@rundel/core/products';
import { useState } from 'react';
import { FormDialog } from '../../ui/EntryDialogs.tsx';
import { perWords } from '../../text/dose-text.ts';
import { FEED_PROBLEM_WORDS, FORM_WORDS, UNIT_WORDS } from '../../text/feed-text.ts';
import { Select } from '../../ui/Select.tsx';
import { OnceButton } from '../../ui/OnceButton.tsx';
import { newId, useGarden, useUnitFormat, type RecordChange } from '../../store/index.ts';
import { productFormOf, readProductForm, withForm, type ProductForm } from './product-form.ts';
import { shedUnit } from './feeding/feeds-csv.ts';
import { midSentence } from '../../text/text.ts';

const FORMS = FEED_FORMS.map((id) => ({ id, label: FORM_WORDS[id] }));
const UNITS = FEED_UNITS.map((id) => ({ id, label: UNIT_WORDS[id][1] }));
const PER = ['litre', 'bag', 'plant', 'mix-litre'] as const;
const LABEL = [
  { key: 'n', label: 'N' },
  { key: 'p2o5', label: 'P₂O₅' },
  { key: 'k2o', label: 'K₂O' },
  { key: 'ca', label: 'Ca' },
  { key: 'mg', label: 'Mg' },
] as const;

/**
 * A product as its label has it, from wherever it is made: what feeds, in Feeds, while filling or in the shed, and what is only
 * bought. What is missing or cannot be is said while it is typed.
 */
export function ProductDialog({
  product,
  own,
  madeWith,
  onClose,
}: {
  /** what the form starts from */
  readonly product: Product | undefined;
  /** the record that is changed; left out: a new one is made */
  readonly own: OwnProduct | undefined;
  /** what else is put in the diary with a new product */
  madeWith?(product: OwnProduct): readonly Draft[];
  onClose(): void;
}) {
  const { garden, clock, saveRecords, bin } = useGarden();
  const { system } = useUnitFormat();
  const [form, setForm] = useState<ProductForm>(() => ({
    ...productFormOf(product, system),
    ...(product && !own ? { name: `My ${midSentence(product.name)}`.slice(0, 60) } : {}),
  }));
  const [isTried, setTried] = useState(false);
  const set = (change: Partial<ProductForm>) => setForm({ ...form, ...change });
  const steep = product?.feed?.steep;
  const reading = readProductForm(form, system, steep);
  const problems = reading.kind === 'refused' ? reading.problems : {};
  const isTaken = garden.products.some((g) => !g.binnedAt && g.id !== own?.id && g.name === form.name.trim());
  const problem = (key: keyof ProductForm) =>
    key === 'name' && isTaken ? 'There is something of this name already.' : problems[key];
  const shownProblem = (key: keyof ProductForm) =>
    isTried || form[key].trim() !== '' ? problem(key) : undefined;
  const field = (key: keyof ProductForm, label: string, help?: string) => (
    <TextField
      label={label}
      value={form[key]}
      onChange={(e) => set({ [key]: e.target.value })}
      error={shownProblem(key) !== undefined}
      helperText={shownProblem(key) ?? help}
      slotProps={{ htmlInput: { inputMode: key === 'name' ? 'text' : 'decimal' } }}
    />
  );
  const labelProblem = LABEL.map(({ key }) => problems[key]).find(Boolean);
  const submit = async () => {
    setTried(true);
    if (reading.kind !== 'read' || isTaken) return;
    const now = clock.now();
    const { label, kilogramsPerLitre, feed, pack } = reading;
    const after: OwnProduct = {
      id: own?.id ?? newId('product'),
      name: form.name.trim(),
      kind: form.use === 'feeds' ? (own?.kind ?? product?.kind ?? 'feed') : form.use,
      unit: own?.unit ?? (form.use === 'feeds' ? (product?.unit ?? shedUnit(form.form)) : form.countedIn),
      ...(label ? { label } : {}),
      ...(kilogramsPerLitre === undefined ? {} : { kilogramsPerLitre }),
      ...(product?.isOrganic ? { isOrganic: true } : {}),
      ...(product?.isDusty ? { isDusty: true } : {}),
      ...(product?.description ? { description: product.description } : {}),
      ...(feed ? { feed } : {}),
      createdAt: own?.createdAt ?? now,
      changedAt: now,
    };
    const packs: RecordChange[] = pack
      ? [
          {
            table: 'packs',
            before: undefined,
            after: { id: newId('pack'), productId: after.id, ...pack, createdAt: now, changedAt: now },
          },
        ]
      : [];
    await saveRecords(
      [{ table: 'products', before: own, after }, ...packs],
      own ? [] : (madeWith?.(after) ?? []),
      `${after.name} kept`,
    );
    onClose();
  };
  const partners = productsIn(garden.products).filter((g) => g.feed?.form === 'two-part' && g.id !== own?.id);
  const unit = form.use === 'feeds' ? (own?.unit ?? product?.unit ?? shedUnit(form.form)) : form.countedIn;
  return (
    <FormDialog
      title={own ? `Change ${own.name}` : 'A product of your own'}
      isOpen
      onClose={onClose}
      onSubmit={submit}
      submitLabel="Save"
    >
      {field('name', 'Name')}
      <Select
        label="What it is for"
        value={form.use}
        onChange={(use) => set({ use })}
        options={[
          { id: 'feeds', label: 'Feeds plants, or goes into the mix' },
          { id: 'support', label: 'Canes, string, cages' },
          { id: 'bag', label: 'Bags' },
          { id: 'other', label: 'Something else' },
        ]}
      />
      {form.use === 'feeds' ? (
        <>
          <Select
            label="What it is"
            value={form.form}
            onChange={(next) => setForm(withForm(form, next))}
            options={FORMS}
          />
          <Box
            role="group"
            aria-label="What its label says, per cent"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: 'repeat(3, 1fr)', sm: 'repeat(5, 1fr)' },
              gap: 1,
            }}
          >
            {LABEL.map(({ key, label }) => (
              <TextField
                key={key}
                label={label}
                value={form[key]}
                onChange={(e) => set({ [key]: e.target.value })}
                error={problems[key] !== undefined}
                slotProps={{
                  inputLabel: { shrink: true },
                  htmlInput: { inputMode: 'decimal', 'aria-label': `${label}, per cent` },
                }}
              />
            ))}
          </Box>
          {labelProblem && <FormHelperText error>{labelProblem}</FormHelperText>}
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
            {field('dose', 'Dose by its label')}
            <Select
              label="Counted in"
              value={form.unit}
              onChange={(next) => set({ unit: next })}
              options={UNITS}
            />
          </Box>
          <Select
            label="Given"
            value={form.per}
            onChange={(per) => set({ per })}
            options={PER.map((id) => ({ id, label: perWords(system)[id] }))}
          />
          {field('intervalDays', 'Days between two, at the least', 'If the label says.')}
          {field('density', 'A litre of it weighs, kg', 'From the label, or weigh a jar of it.')}
          {form.form !== 'soluble' &&
            form.form !== 'tea' &&
            form.form !== 'two-part' &&
            field('months', 'Months over which it feeds', 'Left out: it is there at once.')}
          {form.form === 'spike' && field('gramsEach', 'One weighs, g')}
          {form.form === 'two-part' && (
            <Select
              label="Its other part"
              value={form.partnerId}
              onChange={(partnerId) => set({ partnerId })}
              options={partners.map((g) => ({ id: g.id, label: g.name }))}
            />
          )}
        </>
      ) : (
        <Select
          label="Counted"
          value={form.countedIn}
          onChange={(countedIn) => set({ countedIn })}
          options={[
            { id: 'kilogram', label: 'By weight' },
            { id: 'litre', label: 'By volume' },
            { id: 'piece', label: 'In pieces' },
            { id: 'metre', label: 'By length' },
          ]}
        />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        {field(
          'packAmount',
          `Pack, ${{ litre: 'L', kilogram: 'kg', metre: 'm', piece: 'pieces' }[unit]}`,
          'If you know a price.',
        )}
        {field('packPrice', 'Its price')}
      </Box>
      {reading.remarks
        .filter(({ code, isFatal }) => (isTried && isFatal) || isNamed(form, code))
        .map(({ code, isFatal }) => (
          <Alert key={code} severity={isFatal ? 'error' : 'info'}>
            {FEED_PROBLEM_WORDS[code]}
          </Alert>
        ))}
      {own && (
        <OnceButton
          onPress={() => bin('products', [own], own.name).then(onClose)}
          sx={{ alignSelf: 'flex-start' }}
        >
          Delete
        </OnceButton>
      )}
    </FormDialog>
  );
}

/** Whether enough has been typed for a remark to be fair: nobody is told of a missing label before typing one. */
function isNamed(form: ProductForm, code: keyof typeof FEED_PROBLEM_WORDS): boolean {
  if (code === 'promises-nothing') return [form.n, form.p2o5, form.k2o].every((t) => t.trim() !== '');
  return form.dose.trim() !== '';
}
