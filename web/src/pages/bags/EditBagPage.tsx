import { Alert } from '@mui/material';
import { CONTAINER_KINDS } from '@rundel/core/bags';
import { findMix } from '@rundel/core/mixes';
import { zodResolver } from '@hookform/resolvers/zod';
import { Button } from '@mui/material';
import { useMemo } from 'react';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import type { Container } from '@rundel/core/records';
import { Link, useNavigate, useParams } from 'react-router';
import type * as z from '@rundel/core/schema';
import { useOnce } from '../../ui/once.ts';
import { Page, Panel } from '../../ui/Page.tsx';
import { containersInUse, measuresInUse, newId, useGarden } from '../../store/index.ts';
import { BagFields } from './BagFields.tsx';
import { BagFormLayout } from './BagFormLayout.tsx';
import { BagPreview } from './BagPreview.tsx';
import { bagFormOf, bagFormSchema, newBagRecords, type BagFormValues } from './bag-form.ts';
import { NoSuchBag } from './NoSuchBag.tsx';

/** Change what a bag is: its diary stays as it was and everything is worked out anew. */
export default function EditBagPage() {
  const { garden, clock, saveRecords } = useGarden();
  const { containerId } = useParams();
  const navigate = useNavigate();
  const container = garden.containers.find((c) => c.id === containerId);
  const { units } = garden.settings;
  const others = containersInUse(garden).filter((c) => c.id !== containerId);
  const schema = useMemo(
    () =>
      bagFormSchema(
        units,
        others.map((c) => c.label),
        measuresInUse(garden),
      ),
    [garden, others, units],
  );
  const form = useForm<BagFormValues, unknown, z.output<typeof schema>>({
    resolver: zodResolver(schema),
    mode: 'onTouched',
    ...(container ? { defaultValues: bagFormOf(container, units) } : {}),
  });
  const values = useWatch({ control: form.control }) as BagFormValues;
  const save = useOnce(
    form.handleSubmit(async (result) => {
      if (!container) return;
      const now = clock.now();
      const { containers, changes } = newBagRecords(
        result,
        [result.label],
        { places: garden.places.length, containers: 0 },
        now,
      );
      // stations keep their identity, since plants and entries name them; more are added at the end
      const stations = Array.from(
        { length: result.stations },
        (_, i) => container.stations[i] ?? { id: newId('station') },
      );
      // optional fields that were emptied are gone: only what the form does not ask for is carried over
      const { assumptions, seasons, gauges } = container;
      const after = {
        ...(assumptions ? { assumptions } : {}),
        ...(seasons ? { seasons } : {}),
        ...(gauges ? { gauges } : {}),
        ...(containers[0] as Container),
        id: container.id,
        createdAt: container.createdAt,
        order: container.order,
        stations,
      };
      const place = changes.filter((change) => change.table === 'places');
      await saveRecords(
        [...place, { table: 'containers', before: container, after }],
        [],
        `bag ${after.label} changed`,
      );
      void navigate(`/bags/${container.id}`);
    }),
  );
  if (!container) return <NoSuchBag />;
  const bag = schema.safeParse(values).data;
  const unknown = [
    CONTAINER_KINDS.some((k) => k.id === container.kindId) ? '' : 'a kind',
    findMix(container.mixId, garden.mixes) ? '' : 'a mix',
  ].filter(Boolean);
  return (
    <Page title={`Change bag ${container.label}`}>
      <FormProvider {...form}>
        <BagFormLayout
          onSubmit={save}
          fields={
            <Panel title="The bag">
              {unknown.length > 0 && (
                <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
                  This bag has {unknown.join(' and ')} that this Rundel does not know. Choose what it is
                  below; its diary is kept.
                </Alert>
              )}
              <BagFields />
            </Panel>
          }
          preview={<BagPreview bag={bag} planting={undefined} />}
          buttons={
            <>
              <Button type="submit" variant="contained" sx={{ minHeight: 56, minWidth: 160 }}>
                Change it
              </Button>
              <Button component={Link} to={`/bags/${container.id}`}>
                Cancel
              </Button>
            </>
          }
        />
      </FormProvider>
    </Page>
  );
}
