import { Alert } from '@mui/material';
import { CONTAINER_KINDS } from '@rundel/core/bags';
import { findMix } from '@rundel/core/mixes';
import { Button } from '@mui/material';
import type { Container } from '@rundel/core/records';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useAsBegun, useFields } from '../../ui/form/index.ts';
import { Page, Panel } from '../../ui/Page.tsx';
import { containersInUse, newId, useGarden, useUnitFormat } from '../../store/index.ts';
import { BagFields } from './BagFields.tsx';
import { BagFormLayout } from './BagFormLayout.tsx';
import { BagParts, partNamed, partToMend, spotsFor } from './BagParts.tsx';
import { BagPreview } from './BagPreview.tsx';
import { isBagAsked } from './bag-asked.ts';
import { bagFields } from './bag-form.ts';
import { bagOf, bagProblems, startOfBag } from './bag-values.ts';
import { movedDrafts } from '../../ui/moved-drafts.ts';
import { newBagRecords } from './bag-records.ts';
import { NoSuchBag } from './NoSuchBag.tsx';

/** Change what a bag is: its diary stays as it was and everything is worked out anew. */
export default function EditBagPage() {
  const { garden } = useGarden();
  const { containerId } = useParams();
  const container = garden.containers.find((c) => c.id === containerId);
  return container ? <EditBag key={container.id} current={container} /> : <NoSuchBag />;
}

function EditBag({ current }: { readonly current: Container }) {
  const container = useAsBegun(current);
  const { garden, clock, live, saveRecords } = useGarden();
  const unitFormat = useUnitFormat();
  const navigate = useNavigate();
  const taken = containersInUse(garden).flatMap((c) => (c.id === container.id ? [] : [c.label]));
  const form = useFields((texts) => bagFields(texts, { garden, unitFormat, taken }), {
    values: {
      ...startOfBag(container, container.stations.length),
      label: container.label,
      placeId: container.placeId,
    },
    isLive: true,
    isAsked: isBagAsked,
    check: bagProblems,
  });
  const bag = bagOf(form);
  const [params] = useSearchParams();
  const [partId, openPart] = useState(() => partNamed(params.get('part')));
  const save = form.submit(
    async () => {
      if (!bag) return;
      const now = clock.now();
      const { containers, changes } = newBagRecords(
        bag,
        [bag.label],
        { places: garden.places.length, containers: 0 },
        now,
      );
      // stations keep their identity, since plants and entries name them; more are added at the end
      const stations = Array.from(
        { length: bag.stations },
        (_, i) => container.stations[i] ?? { id: newId('station') },
      );
      // optional fields that were emptied are gone: only what the form does not ask for is carried over
      const { assumptions, gauges, tankId } = container;
      const after = {
        ...(assumptions ? { assumptions } : {}),
        ...(gauges ? { gauges } : {}),
        ...(tankId ? { tankId } : {}),
        ...(containers[0] as Container),
        id: container.id,
        createdAt: container.createdAt,
        order: container.order,
        stations,
      };
      const place = changes.filter((change) => change.table === 'places');
      await saveRecords(
        [...place, { table: 'containers', before: container, after }],
        live.some((e) => 'containerId' in e && e.containerId === container.id)
          ? movedDrafts([{ before: container, after }], now)
          : [],
        `bag ${after.label} changed`,
      );
      void navigate(`/bags/${container.id}`);
    },
    (names) => openPart(partToMend(names)),
  );
  const unknown = [
    CONTAINER_KINDS.some((k) => k.id === container.kindId) ? '' : 'a kind',
    findMix(container.mixId, garden.mixes) ? '' : 'a mix',
  ].filter(Boolean);
  return (
    <Page title={`Change bag ${container.label}`}>
      <BagFormLayout
        onSubmit={save}
        fields={
          <Panel title="The bag">
            {unknown.length > 0 && (
              <Alert severity="warning" sx={{ marginBlockEnd: 2 }}>
                This bag has {unknown.join(' and ')} that this Rundel does not know. Choose what it is below;
                its diary is kept.
              </Alert>
            )}
            <BagFields form={form} />
          </Panel>
        }
        preview={<BagPreview bag={bag} planting={undefined} spots={spotsFor(form, openPart)} />}
        parts={<BagParts form={form} openId={partId} onOpen={openPart} />}
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
    </Page>
  );
}
