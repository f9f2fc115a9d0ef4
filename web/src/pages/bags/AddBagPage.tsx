import { Box, Button, MenuItem, TextField, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { proposedPlantingDay } from '@rundel/core/garden-state';
import { type Template, TRADE_CLASS_NAMES } from '@rundel/core/records';
import { CONTAINER_KINDS, containerKind } from '@rundel/core/bags';
import { varietiesIn } from '@rundel/core/plants';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { FormField, FormFields, useFields, type FormStart, type ValuesOf } from '../../ui/form/index.ts';
import { Page, Panel } from '../../ui/Page.tsx';
import { containersInUse, placesInUse, useGarden, useUnitFormat } from '../../store/index.ts';
import { BagFields } from './BagFields.tsx';
import { BagFormLayout } from './BagFormLayout.tsx';
import { BagParts, partToMend, spotsFor, type PartId } from './BagParts.tsx';
import { BagPreview } from './BagPreview.tsx';
import { isBagAsked, newBagStart } from './bag-asked.ts';
import { bagFields, dimensionName, type BagFields as FieldsOfBag } from './bag-form.ts';
import { bagOf, bagProblems, startOfBag } from './bag-values.ts';
import { newBagRecords } from './bag-records.ts';
import { labelsFor, nextLabel } from '../../ui/labels.ts';
import {
  habitIdOf,
  isPlantingAsked,
  plantingFields,
  plantingOf,
  plantingProblems,
  plantingStart,
  plantOf,
  type PlantingFields as FieldsOfPlanting,
} from '../../ui/planting-form.ts';
import { planChanges, plantingChanges } from '../../ui/planting-records.ts';

type AddFields = FieldsOfBag & FieldsOfPlanting;
type Values = ValuesOf<AddFields>;

/** Add a bag, with what goes into it; drawn to scale beside the form while it is typed. `?like=` starts from another bag. */
export default function AddBagPage() {
  // another template or another bag to start from is another form
  const [params] = useSearchParams();
  return <AddBagForm key={params.toString()} />;
}

function AddBagForm() {
  const { garden, clock, live, saveRecords } = useGarden();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const { depthPracticeId } = garden.settings;
  const unitFormat = useUnitFormat();
  const today = dayOf(clock.now());
  const inUse = containersInUse(garden);
  const labels = inUse.map((c) => c.label);
  const templates = garden.templates.filter((t) => !t.binnedAt);
  const template = templates.find((t) => t.id === params.get('template'));
  const [count, setCount] = useState(params.get('count') ?? '1');
  const bagCount = Number(count);
  const isCount = Number.isInteger(bagCount) && bagCount >= 1 && bagCount <= 60;
  const like = garden.containers.find((c) => c.id === params.get('like'));
  const context = { garden, unitFormat, taken: labels };
  const fieldsOfPlanting = (texts: { readonly cropId?: string }) =>
    plantingFields(texts, unitFormat, today, []);
  const [start] = useState((): FormStart<AddFields>['values'] => {
    const label = params.get('label') ?? nextLabel(labels);
    const placeId = params.get('place') ?? placesInUse(garden)[0]?.id;
    const cropId = template?.cropId ?? params.get('crop') ?? undefined;
    const habitId = template?.habitId ?? params.get('habit') ?? undefined;
    const varietyName = params.get('varietyName');
    return {
      ...newBagStart(label, placeId),
      ...(like
        ? { ...startOfBag(like, like.stations.length), placeId: like.placeId }
        : template
          ? startOfBag(template, template.stations)
          : readAsked(params)),
      ...plantingStart(today, depthPracticeId),
      ...(cropId ? { cropId } : {}),
      ...(habitId ? { habitId } : {}),
      ...(varietyName ? { varietyName } : {}),
    };
  });
  const form = useFields<AddFields>(
    (texts) => ({ ...bagFields(texts, context), ...fieldsOfPlanting(texts) }),
    {
      values: start ?? {},
      isLive: true,
      isAsked: (name, texts) => isBagAsked(name, texts) && isPlantingAsked(name, texts),
      check: (values) => [...bagProblems(values), ...plantingProblems(values)],
    },
  );
  const { texts, values } = form;
  // a variety that is known is of its crop, and grows as it grows
  const { varietyName, cropId, habitId } = texts;
  const setText = useRef(form.set);
  setText.current = form.set;
  useEffect(() => {
    const named = varietiesIn(garden.varieties).filter((v) => v.name === varietyName.trim());
    const variety = named.find((v) => v.cropId === cropId) ?? named[0];
    if (!variety) return;
    if (variety.cropId !== cropId) setText.current('cropId', variety.cropId);
    if (variety.habitId !== habitId) setText.current('habitId', variety.habitId);
    // only when another is named: what is chosen after that stays chosen
    // oxlint-disable-next-line react/exhaustive-deps
  }, [varietyName]);
  const [partId, openPart] = useState<PartId>();
  const bag = bagOf({ fields: bagFields(texts, context), values });
  // a plant of which nothing is said yet is not drawn, and no advice is given for it
  const planting =
    plantSaid(values, start) === 'nothing'
      ? undefined
      : plantingOf({ fields: fieldsOfPlanting(texts), values });

  const save = form.submit(
    async (result) => {
      if (!isCount || !bag) return;
      const now = clock.now();
      const { containers, changes } = newBagRecords(
        bag,
        labelsFor(bag.label, bagCount, labels),
        { places: garden.places.length, containers: garden.containers.length },
        now,
      );
      const said = plantSaid(result, start);
      const planted =
        said === 'planted' && planting
          ? plantingChanges(
              planting,
              containers.map((c) => ({ containerId: c.id, stationIds: c.stations.map((s) => s.id) })),
              garden,
              now,
            )
          : { changes: [], drafts: [] };
      // what was said of a plant that is not in yet is kept as the bag's plan
      const place = garden.places.find((known) => known.id === containers[0]?.placeId);
      const cover = place?.cover ?? (bag.place.kind === 'new' ? bag.place.cover : 'open');
      const planned = { ...plantOf(result), ...(planting ? { seedling: planting.seedling } : {}) };
      const plans =
        said === 'planned'
          ? planChanges(
              planned,
              containers.map((c) => ({
                containerId: c.id,
                plantOn: proposedPlantingDay(garden, planned, cover, live, now),
              })),
              now,
            )
          : [];
      const first = containers[0];
      const words = bagCount === 1 ? `bag ${first?.label ?? ''} added` : `${bagCount} bags added`;
      await saveRecords([...changes, ...planted.changes, ...plans], planted.drafts, words);
      // the first bag of all: what one does with it now stands on the round
      const isFirst = inUse.length === 0 && said === 'planted';
      void navigate(isFirst ? '/round' : bagCount === 1 ? `/bags/${first?.id ?? ''}` : '/bags');
    },
    (names) => openPart(partToMend(names)),
  );

  return (
    <Page
      title="Add a bag"
      lead={like ? `Like bag ${like.label}.` : 'What it is, where it stands, and what goes in.'}
    >
      <BagFormLayout
        onSubmit={save}
        fields={
          <>
            <Panel title="Which bag, and how big">
              {templates.length > 0 && !like && (
                <TemplateChoice templates={templates} chosen={template?.id} />
              )}
              <BagFields form={form} />
            </Panel>
            <Panel title="The plant, how tall and since when">
              <Box
                sx={{
                  display: 'grid',
                  gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
                  gap: { xs: 1.5, sm: 2 },
                }}
              >
                <FormField form={form} name="cropId" />
                <FormField form={form} name="habitId" value={habitIdOf(texts)} />
                <FormField form={form} name="isSown" />
                <FormFields form={form} names={['stem', 'seeds']} />
                <Box sx={{ gridColumn: '1 / -1' }}>
                  <FormField
                    form={form}
                    name="plantedOn"
                    label={texts.isSown === 'seed' ? 'Sown here on' : 'Planted on'}
                    help="Empty: not yet."
                  />
                </Box>
              </Box>
            </Panel>
          </>
        }
        preview={<BagPreview bag={bag} planting={planting} spots={spotsFor(form, openPart)} />}
        parts={
          <>
            <BagParts form={form} openId={partId} onOpen={openPart} />
            <TextField
              label="How many of these"
              value={count}
              onChange={(e) => setCount(e.target.value)}
              error={!isCount}
              helperText={
                isCount
                  ? bagCount > 1
                    ? `They are called ${labelsFor(texts.label.trim() || '1', Math.min(bagCount, 6), labels).join(', ')}${bagCount > 6 ? ' …' : ''}.`
                    : 'More than one: all alike, with numbers of their own.'
                  : 'A whole number from 1 to 60.'
              }
              sx={{ marginBlockStart: 2, maxWidth: 340 }}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            />
          </>
        }
        buttons={
          <>
            <Button type="submit" variant="contained" sx={{ minHeight: 56, minWidth: 160 }}>
              {isCount && bagCount > 1 ? `Add ${bagCount} bags` : 'Add the bag'}
            </Button>
            <Button component={Link} to="/bags">
              Cancel
            </Button>
            {form.hasFailed && (
              <Typography role="alert" sx={{ color: 'error.main' }}>
                Something above does not read yet; nothing was stored.
              </Typography>
            )}
          </>
        }
      />
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
function readAsked(params: URLSearchParams): Partial<ValuesOf<FieldsOfBag>> {
  const kindId = params.get('kind');
  if (!kindId || !CONTAINER_KINDS.some((k) => k.id === kindId)) return {};
  const tradeClass = TRADE_CLASS_NAMES.find((name) => name === params.get('class'));
  const kind = containerKind(kindId);
  const base = { kindId, stations: Number(params.get('stations')) || kind.stations.usual };
  const measured = kind.dimensions.map(({ key }) => [key, Number(params.get(key))] as const);
  if (measured.every(([, mm]) => mm > 0)) {
    const sizes = Object.fromEntries(measured.map(([key, mm]) => [dimensionName(key), mm]));
    const rim = params.get('rim');
    const free = rim === null ? {} : { fillBy: 'rim' as const, headroom: Number(rim) || 0 };
    return { ...base, sizeBy: 'measured', ...sizes, ...free };
  }
  if (tradeClass && kind.hasTradeClass) return { ...base, sizeBy: 'class', tradeClass };
  const litres = Number(params.get('litres'));
  return { ...base, sizeBy: 'label', ...(litres > 0 ? { labelLitres: litres } : {}) };
}

/**
 * What was said of a plant: nothing, and the bag is added empty; a plant without a day, or with no more than its crop, which is a
 * plan; or one that is in, measured or not.
 *
 * @param start the values that the form began with: what was changed in them was said
 */
function plantSaid(
  values: Partial<Values>,
  start: FormStart<AddFields>['values'],
): 'nothing' | 'planned' | 'planted' {
  const isChanged = (name: 'cropId' | 'habitId' | 'isSown' | 'plantedOn') =>
    start?.[name] !== undefined && values[name] !== start[name];
  const isPlant = values.stem !== undefined || !!values.varietyName || isChanged('isSown');
  if (
    !isPlant &&
    !values.plantName &&
    !isChanged('cropId') &&
    !isChanged('habitId') &&
    !isChanged('plantedOn')
  )
    return 'nothing';
  if (values.plantedOn === undefined) return 'planned';
  return isPlant || isChanged('plantedOn') ? 'planted' : 'planned';
}
