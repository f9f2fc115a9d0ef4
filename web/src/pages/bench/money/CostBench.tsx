import { Box, Button, Typography } from '@mui/material';
import type { BagCost, CostLine } from '@rundel/core/stock';
import { useState } from 'react';
import { titleOf } from '../../../text/bag-text.ts';
import { productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { dayOf, seasonName, seasonYearOf } from '@rundel/core/calendar';
import { COST_WORDS, howWords, perWeight } from '../../../text/cost-text.ts';
import { FormFields, InlineForm, priceField, textField, useFields } from '../../../ui/form/index.ts';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { useBags, useGarden, useMoney, useUnitFormat, type Bag } from '../../../store/index.ts';
import { useKilograms } from '../../../store/pickings.ts';
import { useCosts } from '../../../store/supplies.ts';
import { NoBags } from '../NoBags.tsx';
import { SpendDialog } from '../../../ui/SpendDialog.tsx';
import { midSentence, sentence } from '../../../text/text.ts';

/** The column in which each part of a cost stands; one without a column would be missing from the row and not from its sum. */
const COLUMN_OF: Readonly<Record<CostLine['what'], string>> = {
  bag: 'bag',
  mix: 'mix',
  amendments: 'feed',
  feeds: 'feed',
  supplies: 'supplies',
  seed: 'plants',
  plants: 'plants',
  current: 'other',
  water: 'other',
  other: 'other',
  work: 'work',
};
const COLUMNS = [...new Set(Object.values(COLUMN_OF))].map((column) =>
  (Object.keys(COLUMN_OF) as CostLine['what'][]).filter((what) => COLUMN_OF[what] === column),
);

interface CostOfBag {
  readonly bag: Bag;
  readonly cost: BagCost;
}

/** What each bag came to this season, and the ways to put money and minutes in. */
export default function CostBench() {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const { bags } = useBags();
  const { latitudeDegrees } = garden.settings;
  const year = seasonYearOf(dayOf(clock.now()), latitudeDegrees);
  const byBag = useCosts(year);
  const picked = useKilograms(year);
  const [dialog, setDialog] = useState<'spent' | 'lamps' | 'worked'>();
  if (bags.length === 0) return <NoBags label="Add a bag first; then what it comes to stands here." />;
  const costs = bags.flatMap((bag) => {
    const cost = byBag.get(bag.container.id);
    return cost ? [{ bag, cost }] : [];
  });
  const eachOf = ({ bag, cost }: CostOfBag) => {
    const kilograms = picked.get(bag.container.id) ?? 0;
    return kilograms > 0 && cost.total > 0 ? perWeight(cost.total / kilograms, unitFormat).price : undefined;
  };
  const sum = (cost: BagCost, whats: readonly CostLine['what'][]) =>
    cost.lines.filter((l) => whats.includes(l.what)).reduce((total, l) => total + l.price, 0);
  const total = costs.reduce((all, { cost }) => all + cost.total, 0);
  const columns: [Column<CostOfBag>, ...Column<CostOfBag>[]] = [
    { id: 'title', header: 'Bag', sort: ({ bag }) => titleOf(bag), cell: ({ bag }) => titleOf(bag) },
    ...COLUMNS.map((whats): Column<CostOfBag> => ({
      id: whats.join(' '),
      header: sentence(whats.map((what) => COST_WORDS[what]).join(', ')),
      isNumber: true,
      sort: ({ cost }) => sum(cost, whats) || undefined,
      cell: ({ cost }) => {
        const value = sum(cost, whats);
        return value > 0 ? money.show(value) : '';
      },
    })),
    {
      id: 'all',
      header: 'In all',
      isNumber: true,
      sort: ({ cost }) => cost.total,
      cell: ({ cost }) => <strong>{money.show(cost.total)}</strong>,
    },
    {
      id: 'weight',
      header: perWeight(1, unitFormat).heading,
      isNumber: true,
      sort: (row) => eachOf(row),
      cell: (row) => {
        const each = eachOf(row);
        return each === undefined ? '' : money.show(each);
      },
    },
    {
      id: 'parts',
      header: 'How',
      isExtra: true,
      cell: ({ cost }) =>
        cost.lines
          .map((line) => `${COST_WORDS[line.what]} ${money.show(line.price)}: ${howWords(line, money)}`)
          .join('; '),
    },
  ];
  const unpriced = [...new Set(costs.flatMap(({ cost }) => cost.unpriced))];
  return (
    <Box>
      <Panel>
        <Typography sx={{ fontSize: '1.1rem', marginBlockEnd: 1 }}>
          <strong>
            {seasonName(year, latitudeDegrees)}: {money.show(total)} for {bags.length}{' '}
            {bags.length === 1 ? 'bag' : 'bags'}, {money.show(total / bags.length)} each.
          </strong>{' '}
          {unpriced.length > 0 &&
            `Not in it, for want of a price: ${unpriced.map((id) => (id === 'bag' ? 'some of the bags themselves' : midSentence(productName(id, garden.products)))).join(', ')}.`}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, marginBlockEnd: 2 }}>
          <Button variant="contained" onClick={() => setDialog('spent')}>
            Money spent
          </Button>
          <Button variant="outlined" onClick={() => setDialog('lamps')}>
            Current for lamps
          </Button>
          <Button variant="outlined" onClick={() => setDialog('worked')}>
            Minutes worked
          </Button>
        </Box>
        <DataTable
          name="costs"
          label="Costs by bag"
          rows={costs}
          columns={columns}
          idOf={({ bag }) => bag.container.id}
        />
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          A bag is spread over the seasons that it lasts, a mix over two; what is for all bags is shared
          evenly.
        </Typography>
      </Panel>
      <Panel title="What things are worth to you">
        <MoneySettings />
      </Panel>
      {dialog && <SpendDialog what={dialog} onClose={() => setDialog(undefined)} />}
    </Box>
  );
}

const MONEY_FIELDS = {
  sign: textField({ label: 'Sign of your money', missing: 'One to four letters or signs.', longest: 4 }),
  hour: priceField({ label: 'An hour of your work', help: 'Empty: work is not counted.' }),
  power: priceField({ label: 'A kilowatt-hour', help: 'By your bill.' }),
};

function MoneySettings() {
  const { garden, saveSettings } = useGarden();
  const money = useMoney();
  const { settings } = garden;
  const form = useFields(MONEY_FIELDS, {
    values: { sign: money.sign, hour: settings.hourValue, power: settings.kilowattHourPrice },
    check: ({ hour = 0, power = 0 }) => [
      ...(hour > 1000 ? [{ at: 'hour' as const, problem: 'From 0 to 1000.' }] : []),
      ...(power > 10 ? [{ at: 'power' as const, problem: 'From 0 to 10.' }] : []),
    ],
  });
  const save = form.submit(async ({ sign, hour, power }) => {
    const { hourValue: _h, kilowattHourPrice: _k, ...rest } = settings;
    await saveSettings({
      ...rest,
      currency: sign,
      ...(hour === undefined ? {} : { hourValue: hour }),
      ...(power === undefined ? {} : { kilowattHourPrice: power }),
    });
  });
  return (
    <InlineForm
      onSubmit={save}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr) auto' },
        gap: 2,
        alignItems: 'flex-start',
      }}
    >
      <FormFields form={form} />
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
        Save
      </Button>
    </InlineForm>
  );
}
