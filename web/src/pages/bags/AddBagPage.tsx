import { zodResolver } from '@hookform/resolvers/zod';
import { Button, MenuItem, TextField, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { proposedPlantingDay } from '@rundel/core/garden-state';
import { type Seedling, type Template, TRADE_CLASS_NAMES } from '@rundel/core/records';
import { type UnitSystem, show } from '@rundel/core/units';
import { CONTAINER_KINDS, containerKind } from '@rundel/core/bags';
import { useMemo, useState } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import * as z from '@rundel/core/schema';
import { useOnce } from '../../ui/once.ts';
import { Page, Panel } from '../../ui/Page.tsx';
import { containersInUse, measuresInUse, placesInUse, useGarden } from '../../store/index.ts';
import { BagFields } from './BagFields.tsx';
import { BagFormLayout } from './BagFormLayout.tsx';
import { BagPreview } from './BagPreview.tsx';
import {
  bagFormOf,
  bagFormSchema,
  emptyBagForm,
  newBagRecords,
  templateFormOf,
  type BagFormValues,
} from './bag-form.ts';
import { labelsFor, nextLabel } from './labels.ts';
import { PlantingFields } from '../../ui/PlantingFields.tsx';
import {
  emptyPlantingForm,
  planChanges,
  plantingChanges,
  plantingFormSchema,
  type PlantingFormResult,
  type PlantingFormValues,
} from '../../ui/planting-form.ts';

type Values = BagFormValues & PlantingFormValues;

/** Add a bag, with what goes into it; drawn to scale beside the form while it is typed. `?like=` starts from another bag. */
export default function AddBagPage() {
  // another template or another bag to start from is another form
  const [params] = useSearchParams();
  return <AddBagForm key={params.toString()} />;
}

function AddBagForm() {
  const { garden, clock, saveRecords } = useGarden();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { units, depthPracticeId } = garden.settings;
  const today = dayOf(clock.now());
  const inUse = containersInUse(garden);
  const labels = useMemo(() => inUse.map((c) => c.label), [inUse]);
  const templates = garden.templates.filter((t) => !t.binnedAt);
  const template = templates.find((t) => t.id === params.get('template'));
  const [count, setCount] = useState(params.get('count') ?? '1');
  const bagCount = Number(count);
  const isCount = Number.isInteger(bagCount) && bagCount >= 1 && bagCount <= 60;
  const like = garden.containers.find((c) => c.id === params.get('like'));
  const start = useMemo((): Values => {
    const label = nextLabel(labels);
    const placeId = params.get('place') ?? placesInUse(garden)[0]?.id;
    const bag = like
      ? { ...bagFormOf(like, units), label }
      : template
        ? templateFormOf(template, label, placeId, units)
        : { ...emptyBagForm(label, placeId), ...readAsked(params, units) };
    const planting = emptyPlantingForm(today, depthPracticeId);
    const crop = template?.cropId ?? params.get('crop');
    const habit = template?.habitId ?? params.get('habit');
    return { ...bag, ...planting, ...(crop ? { cropId: crop } : {}), ...(habit ? { habitId: habit } : {}) };
    // the form starts once; what is typed is not thrown away by later changes to the garden
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const bagSchema = useMemo(
    () => bagFormSchema(units, labels, measuresInUse(garden)),
    [garden, labels, units],
  );
  const plantingSchema = useMemo(() => plantingFormSchema(units, today), [today, units]);
  const schema = useMemo(() => both(bagSchema, plantingSchema, start), [bagSchema, plantingSchema, start]);
  const form = useForm<Values, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: start,
    mode: 'onTouched',
  });
  const values = useWatch({ control: form.control }) as Values;
  const bag = bagSchema.safeParse(values).data;
  const planting = values.stem.trim() === '' ? undefined : plantingSchema.safeParse(values).data;

  const save = useOnce(
    form.handleSubmit(async (result) => {
      if (!isCount) return;
      const now = clock.now();
      const { containers, changes } = newBagRecords(
        result.bag,
        labelsFor(result.bag.label, bagCount, labels),
        { places: garden.places.length, containers: garden.containers.length },
        now,
      );
      const planted = plantingChanges(
        result.planting,
        containers.map((c) => ({ containerId: c.id, stationIds: c.stations.map((s) => s.id) })),
        garden.varieties,
        now,
      );
      // what was said of a plant that is not in yet is kept as the bag's plan
      const place = garden.places.find((known) => known.id === containers[0]?.placeId);
      const cover = place?.cover ?? (result.bag.place.kind === 'new' ? result.bag.place.cover : 'open');
      const { planned } = result;
      const plans = planned
        ? planChanges(
            planned,
            containers.map((c) => ({
              containerId: c.id,
              plantOn: proposedPlantingDay(garden, planned, cover, now),
            })),
            now,
          )
        : [];
      const first = containers[0];
      const words = bagCount === 1 ? `bag ${first?.label ?? ''} added` : `${bagCount} bags added`;
      await saveRecords([...changes, ...planted.changes, ...plans], planted.drafts, words);
      void navigate(bagCount === 1 ? `/bags/${first?.id ?? ''}` : '/bags');
    }),
  );

  return (
    <Page
      title="Add a bag"
      lead={like ? `Like bag ${like.label}.` : 'What it is, where it stands, and what goes in.'}
    >
      <FormProvider {...form}>
        <BagFormLayout
          onSubmit={save}
          fields={
            <>
              <Panel title="The bag">
                {templates.length > 0 && !like && (
                  <TemplateChoice templates={templates} chosen={template?.id} />
                )}
                <BagFields />
                <TextField
                  label="How many of these"
                  value={count}
                  onChange={(e) => setCount(e.target.value)}
                  error={!isCount}
                  helperText={
                    isCount
                      ? bagCount > 1
                        ? `They are called ${labelsFor(values.label.trim() || '1', Math.min(bagCount, 6), labels).join(', ')}${bagCount > 6 ? ' …' : ''}.`
                        : 'More than one: all alike, with numbers of their own.'
                      : 'A whole number from 1 to 60.'
                  }
                  sx={{ marginBlockStart: 2.5, maxWidth: 340 }}
                  slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                />
              </Panel>
              <Panel title="The plant">
                <PlantingFields isDayOptional />
              </Panel>
            </>
          }
          preview={<BagPreview bag={bag} planting={planting} />}
          buttons={
            <>
              <Button
                type="submit"
                variant="contained"
                disabled={form.formState.isSubmitting}
                sx={{ minHeight: 56, minWidth: 160 }}
              >
                {isCount && bagCount > 1 ? `Add ${bagCount} bags` : 'Add the bag'}
              </Button>
              <Button component={Link} to="/bags">
                Cancel
              </Button>
              {form.formState.submitCount > 0 && !form.formState.isValid && (
                <Typography role="alert" sx={{ color: 'error.main' }}>
                  Something above does not read yet; nothing was stored.
                </Typography>
              )}
            </>
          }
        />
      </FormProvider>
    </Page>
  );
}

/** Starts the form again from a template. */
function TemplateChoice({
  templates,
  chosen,
}: {
  readonly templates: readonly Template[];
  readonly chosen: string | undefined;
}) {
  const navigate = useNavigate();
  return (
    <TextField
      select
      label="Start from a template"
      value={chosen ?? ''}
      onChange={(e) => void navigate(`/bags/new?template=${e.target.value}`)}
      sx={{ marginBlockEnd: 2.5, minWidth: 260 }}
    >
      {templates.map((t) => (
        <MenuItem key={t.id} value={t.id}>
          {t.name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** What another page asked for in the address: a kind and a size worked out on the bench. */
function readAsked(params: URLSearchParams, units: UnitSystem): Partial<BagFormValues> {
  const kindId = params.get('kind');
  if (!kindId || !CONTAINER_KINDS.some((k) => k.id === kindId)) return {};
  const tradeClass = TRADE_CLASS_NAMES.find((name) => name === params.get('class'));
  const kind = containerKind(kindId);
  const base = { kindId, stations: Number(params.get('stations')) || kind.stations.usual };
  const measured = kind.dimensions.map(({ key }) => [key, Number(params.get(key))] as const);
  if (measured.every(([, mm]) => mm > 0)) {
    const dimensions = Object.fromEntries(measured.map(([key, mm]) => [key, show(mm, 'size', units)]));
    return { ...base, sizeBy: 'measured', dimensions };
  }
  if (tradeClass && kind.hasTradeClass) return { ...base, sizeBy: 'class', tradeClass };
  const litres = Number(params.get('litres'));
  return { ...base, sizeBy: 'label', ...(litres > 0 ? { labelLitres: show(litres, 'bag', units) } : {}) };
}

/** What the form gives: the bag, and what is planted in it or is to be. */
interface Added<B> {
  readonly bag: B;
  readonly planting: PlantingFormResult;
  /** a plant that is not in yet, with as much as was said of it */
  readonly planned:
    (Omit<PlantingFormResult, 'seedling'> & { readonly seedling: Seedling | undefined }) | undefined;
}

/**
 * One schema out of two that read the same form; each says what is wrong with its own fields. A bag may be added empty, and
 * a plant without a day is a plan, of which only what was said is kept.
 *
 * @param start the values that the form began with: what was changed in them was said
 */
function both<B>(
  bag: z.ZodType<B, BagFormValues>,
  planting: z.ZodType<PlantingFormResult, PlantingFormValues>,
  start: Pick<PlantingFormValues, 'cropId' | 'habitId'>,
) {
  return z.custom<Values>().transform((values, context): Added<B> => {
    const first = bag.safeParse(values);
    const hasHeight = values.stem.trim() !== '';
    const isDated = values.plantedOn !== '';
    const isSaid =
      hasHeight ||
      values.varietyName.trim() !== '' ||
      values.plantName.trim() !== '' ||
      values.cropId !== start.cropId ||
      values.habitId !== start.habitId;
    const isEmpty = !hasHeight && values.varietyName.trim() === '';
    // a height is asked for when the plant is in: then the depth hangs on it
    const isPlan = isSaid && (!isDated || isEmpty);
    const second = planting.safeParse(
      hasHeight || (!isPlan && !isEmpty) ? values : { ...values, stem: '30 cm', plantedOn: '' },
    );
    for (const issue of [...(first.error?.issues ?? []), ...(second.error?.issues ?? [])]) {
      context.addIssue({ code: 'custom', path: issue.path, message: issue.message });
    }
    const result = second.data as PlantingFormResult;
    const planned =
      isPlan && second.success ? { ...result, seedling: hasHeight ? result.seedling : undefined } : undefined;
    return { bag: first.data as B, planting: result, planned };
  });
}
