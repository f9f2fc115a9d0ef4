import { Box } from '@mui/material';
import { UNITS } from '@rundel/core/units';
import { seasonName, type Day } from '@rundel/core/calendar';
import { groupUnits, type Grouping, type TallyRow, type TallyUnit } from '@rundel/core/tally';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import { BagIcon } from '../../../section/index.ts';
import { perWeight } from '../../../text/cost-text.ts';
import { groupName, GROUPING_WORDS, unweighedWords } from '../../../text/tally-text.ts';
import { shortDay } from '../../../text/text.ts';
import { DataTable, type Column } from '../../../ui/table/index.ts';
import { numberColumns } from '../columns.ts';
import { useBags, useGarden, useMoney, useUnitFormat, type Bag } from '../../../store/index.ts';

/** The tally as a table: what each line gave, and what that is by plant, by litre and by what was spent on it. */
export const YieldTable = memo(function YieldTable({
  rows,
  by,
  year,
  earlier,
  total,
  ticked,
  onTick,
}: {
  readonly rows: readonly TallyRow[];
  readonly by: Grouping;
  readonly year: number;
  readonly earlier: readonly TallyUnit[];
  readonly total: TallyRow;
  readonly ticked: ReadonlySet<string>;
  onTick(keys: ReadonlySet<string>): void;
}) {
  const { garden } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const { latitudeDegrees } = garden.settings;
  const columns = useMemo(() => {
    const byId = new Map(bags.map((bag) => [bag.container.id, bag]));
    const before = new Map(groupUnits(earlier, by).map((row) => [row.key, row.kilograms]));
    const weight = (kilograms: number | undefined) =>
      kilograms === undefined || kilograms <= 0 ? '' : unitFormat.show(kilograms, 'crop');
    const number = numberColumns(total);
    const priceOf = (perKilogram: number) => money.show(perWeight(perKilogram, unitFormat).price);
    // gallons where that is what growers pour and fill by
    const [litre, inLitre] = unitFormat.system === 'us' ? ['gallon', UNITS.usGallon.factor] : ['litre', 1];
    const head: Column<TallyRow> = {
      id: 'name',
      header: GROUPING_WORDS[by],
      sort: (row) => nameOf(row, by, byId),
      cell: (row) => <Name row={row} by={by} bag={byId.get(row.key)} name={nameOf(row, by, byId)} />,
      foot: 'In all',
    };
    return [
      head,
      {
        ...number('weight', 'Weight', (row) => row.kilograms, weight),
        cell: (row: TallyRow) =>
          [
            weight(row.kilograms),
            row.byCountKilograms > 0 ? `${weight(row.byCountKilograms)} of it by count` : '',
            unweighedWords(row),
          ]
            .filter(Boolean)
            .join(', '),
      },
      number('fruit', 'Fruit', (row) => row.count, String),
      number('plants', 'Plants', (row) => row.plants, String, by === 'bag' || by === 'plant'),
      number('bags', 'Bags', (row) => row.bags, String, true),
      number('times', 'Times', (row) => row.pickings, String, true),
      number('per-plant', 'Each plant', (row) => row.perPlant, weight),
      number('each', 'One fruit', (row) => row.fruitKilograms, weight, true),
      number(
        'per-mix',
        `By ${litre} of mix`,
        (row) => row.perMixLitre,
        (v) => weight(v * inLitre),
      ),
      number(
        'per-water',
        `By ${litre} of water`,
        (row) => row.perWaterLitre,
        (v) => weight(v * inLitre),
        true,
      ),
      number('cost', perWeight(1, unitFormat).heading, (row) => row.costPerKilogram, priceOf),
      number('per-cost', `For ${money.sign}1`, (row) => row.perCost, weight, true),
      number('lost', 'Lost', (row) => row.lostKilograms, weight, true),
      number('given', 'Given', (row) => row.givenKilograms, weight, true),
      number('sold', 'Sold', (row) => row.soldKilograms, weight, true),
      ...(before.size > 0
        ? [
            number(
              'before',
              `In ${seasonName(year - 1, latitudeDegrees)}`,
              (row) => (row === total ? undefined : before.get(row.key)),
              weight,
            ),
          ]
        : []),
      day('first', 'First', (row) => row.firstOn, year),
      day('last', 'Last', (row) => row.lastOn, year),
    ] as [Column<TallyRow>, ...Column<TallyRow>[]];
  }, [bags, by, earlier, latitudeDegrees, money, total, unitFormat, year]);
  return (
    <DataTable
      name={`tally ${by}`}
      label={`Pickings by ${GROUPING_WORDS[by].toLowerCase()}`}
      rows={rows}
      columns={columns}
      idOf={(row) => row.key}
      ticking={{ ticked, onTick, nameOf: (row) => groupName(row.units[0] as TallyUnit, by) }}
    />
  );
});

function day(
  id: string,
  header: string,
  of: (row: TallyRow) => Day | undefined,
  year: number,
): Column<TallyRow> {
  return {
    id,
    header,
    sort: of,
    cell: (row) => (
      <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
        {of(row) ? shortDay(of(row) as string, `${year}-12-31`) : ''}
      </Box>
    ),
  };
}

/** "12 · Bosun Short": by what stood in it then, and not by what stands there now. */
function nameOf(row: TallyRow, by: Grouping, byId: ReadonlyMap<string, Bag>): string {
  const [unit] = row.units;
  if (!unit) return '';
  if (by !== 'bag') return groupName(unit, by);
  const names = [...new Set(row.units.map((u) => u.plantName ?? u.variety))];
  const words =
    names.length === 1 && row.units.length > 1 ? `${names[0]} ×${row.units.length}` : names.join(', ');
  return `${byId.get(row.key)?.container.label ?? unit.bag} · ${words}`;
}

function Name({
  row,
  by,
  bag,
  name,
}: {
  readonly row: TallyRow;
  readonly by: Grouping;
  readonly bag: Bag | undefined;
  readonly name: string;
}) {
  if (by !== 'bag' || !bag) return name;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, whiteSpace: { md: 'nowrap' }, minWidth: 0 }}>
      <BagIcon properties={bag.properties} water={undefined} plants={bag.occupants.length} size={30} />
      <Link to={`/bags/${row.key}`} style={{ color: 'inherit' }}>
        {name}
      </Link>
    </Box>
  );
}
