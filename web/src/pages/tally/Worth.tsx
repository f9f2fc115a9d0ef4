import { Box, Button, Skeleton, Typography } from '@mui/material';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { groupUnits, totalOf, type Grouping, type TallyRow, type TallyUnit } from '@rundel/core/tally';
import { UNITS } from '@rundel/core/units';
import { lazy, Suspense, useMemo, useState } from 'react';
import { minutesWords } from '../../text/minutes-text.ts';
import { perWeight } from '../../text/cost-text.ts';
import { groupName, GROUPING_WORDS } from '../../text/tally-text.ts';
import { useAddress } from '../../ui/address.ts';
import { FormField, InlineForm, optionalField, priceField, useFields } from '../../ui/form/index.ts';
import { HowCalculated } from '../../ui/HowCalculated.tsx';
import { Panel } from '../../ui/Page.tsx';
import { Select } from '../../ui/Select.tsx';
import { DataTable, type Column } from '../../ui/table/index.ts';
import { numberColumns } from './columns.ts';
import { Figure } from './Figure.tsx';
import { useGarden, useMoney, useUnitFormat } from '../../store/index.ts';
import { useTally } from '../../store/tally.ts';

const SpendDialog = lazy(() =>
  import('../../ui/SpendDialog.tsx').then((module) => ({ default: module.SpendDialog })),
);

/** By what work and money are told here. */
const BY = [
  'bag',
  'form',
  'regime',
  'crop',
  'variety',
  'kind',
  'place',
] as const satisfies readonly Grouping[];

/** What it cost in money and minutes, what the shop would have asked, and what that is by the kilo and the hour. */
export default function Worth() {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const [address, change] = useAddress();
  const [isWorking, setWorking] = useState(false);
  const { latitudeDegrees } = garden.settings;
  const thisYear = seasonYearOf(dayOf(clock.now()), latitudeDegrees);
  const year = Number(address.get('year') ?? thisYear);
  const { data } = useTally(['units', year], (api, day) => api.tally(year, day));
  const by = BY.find((g) => g === address.get('by')) ?? 'bag';
  const rows = useMemo(() => groupUnits(data?.units ?? [], by), [by, data]);
  if (!data) return <Skeleton variant="rectangular" height={360} aria-busy />;
  const total = totalOf(data.units);
  const balance = total.worth === undefined ? undefined : total.worth - total.cost;
  return (
    <>
      <Panel>
        <Typography sx={{ fontSize: '1.15rem' }}>
          <Figure>{money.show(total.worth ?? total.cost)}</Figure>
          {total.worth === undefined
            ? `${total.cost > 0 ? 'it has cost' : 'is all that is on record of its cost'} in ${seasonName(year, latitudeDegrees)}. Say what the shop asks, and I say whether it was worth it.`
            : `is what ${total.soldKilograms > 0 ? 'was paid, or ' : ''}the shop would have asked for ${unitFormat.show(total.kilograms - total.lostKilograms, 'crop')}; it cost ${money.show(total.cost)}.`}
        </Typography>
        {balance !== undefined && (
          <Typography>
            {balance >= 0 ? `That leaves ${money.show(balance)}` : `That is ${money.show(-balance)} short`}
            {total.minutes > 0
              ? ` for ${minutesWords(total.minutes)} of work${total.worthAnHour === undefined ? '' : `: ${money.show(total.worthAnHour)} of fruit an hour`}.`
              : '. No work is counted yet.'}
          </Typography>
        )}
        {(total.givenKilograms > 0 || total.soldKilograms > 0) && (
          <Typography sx={{ color: 'text.secondary' }}>
            {[
              total.givenKilograms > 0 ? `${unitFormat.show(total.givenKilograms, 'crop')} given away` : '',
              total.soldKilograms > 0 ? `${unitFormat.show(total.soldKilograms, 'crop')} sold` : '',
            ]
              .filter(Boolean)
              .join(', ')}
            .
          </Typography>
        )}
        <Button variant="outlined" onClick={() => setWorking(true)} sx={{ marginBlockStart: 1.5 }}>
          Minutes worked
        </Button>
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          A round can be timed: start the clock on the Round page, and its minutes are shared by the bags that
          you were at.
        </Typography>
      </Panel>
      <Panel title={`By ${GROUPING_WORDS[by].toLowerCase()}`}>
        <Box sx={{ maxWidth: 260, marginBlockEnd: 1.5 }}>
          <Select
            label="Told by"
            value={by}
            options={BY.map((id) => ({ id, label: GROUPING_WORDS[id] }))}
            onChange={(id) => change({ by: id === 'bag' ? undefined : id })}
          />
        </Box>
        <WorthTable rows={rows} by={by} total={total} />
      </Panel>
      <Panel title="What the shop asks">
        <Prices units={data.units} />
      </Panel>
      <Suspense>{isWorking && <SpendDialog what="worked" onClose={() => setWorking(false)} />}</Suspense>
    </>
  );
}

function WorthTable({
  rows,
  by,
  total,
}: {
  readonly rows: readonly TallyRow[];
  readonly by: Grouping;
  readonly total: TallyRow;
}) {
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const columns = useMemo(() => {
    const number = numberColumns(total);
    const weight = (value: number) => unitFormat.show(value, 'crop');
    const priceOf = (perKilogram: number) => money.show(perWeight(perKilogram, unitFormat).price);
    const nameOf = (row: TallyRow) =>
      by === 'bag'
        ? `${row.units[0]?.bag ?? ''} · ${[...new Set(row.units.map((u) => u.variety))].join(', ')}`
        : groupName(row.units[0] as TallyUnit, by);
    return [
      { id: 'name', header: GROUPING_WORDS[by], sort: nameOf, cell: nameOf, foot: 'In all' },
      number('weight', 'Weight', (r) => r.kilograms, weight),
      number('cost', 'Cost', (r) => r.cost, money.show),
      number('each', perWeight(1, unitFormat).heading, (r) => r.costPerKilogram, priceOf),
      number('worth', 'Worth', (r) => r.worth, money.show),
      number('minutes', 'Work', (r) => r.minutes, minutesWords),
      number('hour', 'An hour gave', (r) => r.kilogramsAnHour, weight),
      number('worth-hour', 'Worth an hour', (r) => r.worthAnHour, money.show),
    ] as [Column<TallyRow>, ...Column<TallyRow>[]];
  }, [by, money, total, unitFormat]);
  return (
    <DataTable
      name={`worth ${by}`}
      label={`What each was worth, by ${GROUPING_WORDS[by].toLowerCase()}`}
      rows={rows}
      columns={columns}
      idOf={(row) => row.key}
    />
  );
}

/** The shop's price of each variety, by the kilogram or the pound; a crop's price stands for varieties that have none. */
function Prices({ units }: { readonly units: readonly TallyUnit[] }) {
  const { garden, saveSettings } = useGarden();
  const unitFormat = useUnitFormat();
  const factor = unitFormat.system === 'metric' ? 1 : UNITS.pound.factor;
  const { each } = perWeight(1, unitFormat);
  const prices = garden.settings.shopPrices ?? {};
  const crops = [...new Map(units.map((u) => [u.cropId, u.crop])).entries()];
  const varieties = [...new Map(units.map((u) => [u.varietyId, `${u.variety}, ${each}`])).entries()];
  const described = [...crops.map(([id, name]) => [id, `${name}, ${each}`] as const), ...varieties];
  const form = useFields(
    Object.fromEntries(described.map(([id, label]) => [id, optionalField(priceField({ label }))])),
    {
      values: Object.fromEntries(
        described.flatMap(([id]) => (prices[id] === undefined ? [] : [[id, prices[id] * factor]])),
      ),
    },
  );
  if (described.length === 0)
    return <Typography>Once something stands in the bags, its price goes here.</Typography>;
  const submit = form.submit((values) =>
    saveSettings({
      ...garden.settings,
      shopPrices: {
        ...Object.fromEntries(
          Object.entries(prices).filter(([id]) => !described.some(([own]) => own === id)),
        ),
        ...Object.fromEntries(
          Object.entries(values).flatMap(([id, price]) =>
            price === undefined ? [] : [[id, (price as number) / factor]],
          ),
        ),
      },
    }),
  );
  return (
    <InlineForm onSubmit={submit}>
      <Box
        sx={{
          display: 'grid',
          gap: 1.5,
          gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, minmax(0, 1fr))' },
          width: '100%',
        }}
      >
        {crops.map(([id]) => (
          <FormField key={id} form={form} name={id} />
        ))}
      </Box>
      <HowCalculated label="A variety that has a price of its own">
        <Box
          sx={{
            display: 'grid',
            gap: 1.5,
            gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, minmax(0, 1fr))' },
            paddingBlockStart: 1,
          }}
        >
          {varieties.map(([id]) => (
            <FormField key={id} form={form} name={id} />
          ))}
        </Box>
      </HowCalculated>
      <Button type="submit" variant="outlined" sx={{ marginBlockStart: 1.5 }}>
        Save
      </Button>
    </InlineForm>
  );
}
