import { zodResolver } from '@hookform/resolvers/zod';
import { Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/climate';
import { useMemo } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { Link, useNavigate, useSearchParams } from 'react-router';
import * as z from '@rundel/core/schema';
import { Page, Panel } from '../parts/Page.tsx';
import { containersInUse, standsInUse, useGarden } from '../store/index.ts';
import { BagFields } from './BagFields.tsx';
import { BagFormLayout } from './BagFormLayout.tsx';
import { BagPreview } from './BagPreview.tsx';
import {
  bagFormOf,
  bagFormSchema,
  emptyBagForm,
  newBagRecords,
  nextLabel,
  type BagFormValues,
} from './bag-form.ts';
import { PlantingFields } from './PlantingFields.tsx';
import {
  emptyPlantingForm,
  plantingChanges,
  plantingFormSchema,
  type PlantingFormValues,
} from './planting-form.ts';

type Values = BagFormValues & PlantingFormValues;

/** Add a bag, with what goes into it; drawn to scale beside the form while it is typed. `?like=` starts from another bag. */
export default function AddBagPage() {
  const { garden, clock, saveRecords } = useGarden();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { units, depthSchoolId } = garden.settings;
  const today = dayOf(clock.now());
  const inUse = containersInUse(garden);
  const labels = useMemo(() => inUse.map((c) => c.label), [inUse]);
  const like = garden.containers.find((c) => c.id === params.get('like'));
  const bagSchema = useMemo(() => bagFormSchema(units, labels), [labels, units]);
  const plantingSchema = useMemo(() => plantingFormSchema(units, today), [today, units]);
  const schema = useMemo(() => both(bagSchema, plantingSchema), [bagSchema, plantingSchema]);
  const start = useMemo((): Values => {
    const label = nextLabel(labels);
    const standId = params.get('stand') ?? standsInUse(garden)[0]?.id;
    const bag = like ? { ...bagFormOf(like, units), label } : emptyBagForm(label, standId);
    return { ...bag, ...emptyPlantingForm(today, depthSchoolId) };
    // the form starts once; what is typed is not thrown away by later changes to the garden
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  const form = useForm<Values, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    defaultValues: start,
    mode: 'onTouched',
  });
  const values = useWatch({ control: form.control }) as Values;
  const bag = bagSchema.safeParse(values).data;
  const planting = values.stem.trim() === '' ? undefined : plantingSchema.safeParse(values).data;

  const save = form.handleSubmit(async (result) => {
    const now = clock.now();
    const { container, changes } = newBagRecords(
      result.bag,
      { stands: garden.stands.length, containers: garden.containers.length },
      now,
    );
    const planted = plantingChanges(
      result.planting,
      container,
      container.stations.map((s) => s.id),
      garden.varieties,
      now,
    );
    await saveRecords([...changes, ...planted.changes], planted.drafts, `bag ${container.label} added`);
    void navigate(`/stands/${container.id}`);
  });

  return (
    <Page
      title="Add a bag"
      lead={like ? `Like bag ${like.label}.` : 'What it is, where it stands, and what goes in.'}
    >
      <FormProvider {...form}>
        <BagFormLayout
          onSubmit={() => void save()}
          fields={
            <>
              <Panel title="The bag">
                <BagFields />
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
                Add the bag
              </Button>
              <Button component={Link} to="/stands">
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

/** One schema out of two that read the same form; each says what is wrong with its own fields. */
function both<A, B>(bag: z.ZodType<A, BagFormValues>, planting: z.ZodType<B, PlantingFormValues>) {
  return z.custom<Values>().transform((values, context): { bag: A; planting: B } => {
    const first = bag.safeParse(values);
    // a bag may be added empty: then nothing is asked of a plant
    const isEmpty = values.stem.trim() === '' && values.varietyName.trim() === '' && values.plantedOn === '';
    const second = planting.safeParse(isEmpty ? { ...values, stem: '30 cm' } : values);
    for (const issue of [...(first.error?.issues ?? []), ...(second.error?.issues ?? [])]) {
      context.addIssue({ code: 'custom', path: issue.path, message: issue.message });
    }
    return { bag: first.data as A, planting: second.data as B };
  });
}
