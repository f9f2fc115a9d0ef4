import { Box, Button, Skeleton, TextField, MenuItem, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { kilogramsOf, pickedYears, pickingsOf, tallyPickings, type BagTally } from '@rundel/core/pickings';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { EntryDialog } from '../../ui/entries/EntryDialog.tsx';
import { useAddress } from '../../ui/address.ts';
import { DataTable, type Column } from '../../ui/table/index.ts';
import { Page, Panel } from '../../ui/Page.tsx';
import { WhenSeen } from '../../ui/WhenSeen.tsx';
import { titleOf } from '../../text/bag-text.ts';
import { perWeight } from '../../text/cost-text.ts';
import { shortDay } from '../../text/text.ts';
import { BagIcon } from '../../section/index.ts';
import {
  nameOfBag,
  occupantsIn,
  useBags,
  useGarden,
  useMoney,
  useUnitFormat,
  type Bag,
  type UnitFormat,
} from '../../store/index.ts';
import { usePickings } from '../../store/pickings.ts';
import { useCosts } from '../../store/supplies.ts';

const WeighInRow = lazy(() => import('./WeighInRow.tsx'));
const PickingChart = lazy(() => import('./PickingChart.tsx'));

/** More lines than this lie over one another and are not told apart. */
const DRAWN = 4;

/** The room of the curves, px. */
const CURVES_HIGH = 355;

/** What each bag has yielded. */
export default function TallyPage() {
  const { live, garden, clock } = useGarden();
  const { bags } = useBags();
  const unitFormat = useUnitFormat();
  const money = useMoney();
  const thisYear = Number(clock.now().slice(0, 4));
  const [fields, change] = useAddress();
  const picked = usePickings();
  const years = useMemo(() => [...new Set([thisYear, ...pickedYears(picked)])], [picked, thisYear]);
  const asked = Number(fields.get('year'));
  const year = years.includes(asked) ? asked : thisYear;
  const costs = useCosts(year);
  const [picking, setPicking] = useState<Bag>();
  const [isInRow, setInRow] = useState(false);
  const standing = bags.filter((bag) => bag.occupants.length > 0);
  const pickings = useMemo(() => pickingsOf(picked, year), [picked, year]);
  const tallies = useMemo(() => tallyPickings(pickings), [pickings]);
  const before = useMemo(() => tallyPickings(pickingsOf(picked, year - 1)), [picked, year]);
  const total = tallies.reduce((sum, t) => sum + t.kilograms, 0);
  const lost = tallies.reduce((sum, t) => sum + t.lostKilograms, 0);
  const today = dayOf(clock.now());
  /** days are told without their year when it is the one that is shown */
  const near = year === thisYear ? today : `${year}-12-31`;
  // of a year in which neither filling nor feeding was noted, a cost would be that of the bags alone
  const isCosted = live.some(
    (e) => (e.kind === 'filled' || e.kind === 'fed') && Number(e.at.slice(0, 4)) === year,
  );
  const nameOf = (tally: BagTally) => {
    const bag = bags.find((b) => b.container.id === tally.containerId);
    if (bag && year === thisYear) return titleOf(bag);
    // what stands in it now did not give what was picked then
    if (bag) return titleOf({ ...bag, name: nameOfBag(occupantsIn(year, garden, live, bag.container)) });
    const binned = garden.containers.find((c) => c.id === tally.containerId);
    return binned ? `${binned.label} (deleted)` : 'a bag that is not in this garden';
  };
  const weightBefore = (tally: BagTally) => before.find((t) => t.containerId === tally.containerId);
  const costPer = (tally: BagTally) => costOfWeight(tally, costs.get(tally.containerId)?.total, unitFormat);
  const columns: [Column<BagTally>, ...Column<BagTally>[]] = [
    {
      id: 'bag',
      header: 'Bag',
      sort: nameOf,
      cell: (tally) => (
        <NameOfBag bag={bags.find((b) => b.container.id === tally.containerId)} name={nameOf(tally)} />
      ),
    },
    {
      id: 'weight',
      header: 'Weight',
      isNumber: true,
      sort: (tally) => tally.kilograms,
      cell: (tally) =>
        [
          unitFormat.show(tally.kilograms, 'crop'),
          tally.byCountKilograms > 0
            ? `, ${unitFormat.show(tally.byCountKilograms, 'crop')} of it by count`
            : '',
          tally.unweighed > 0 ? ` + ${tally.unweighed} unweighed` : '',
        ].join(''),
    },
    {
      id: 'fruit',
      header: 'Fruit',
      isNumber: true,
      sort: (tally) => tally.count || undefined,
      cell: (tally) => (tally.count > 0 ? tally.count : ''),
    },
    { id: 'times', header: 'Times', isNumber: true, sort: (t) => t.pickings, cell: (t) => t.pickings },
    ...(before.length > 0
      ? [
          {
            id: 'before',
            header: `In ${year - 1}`,
            isNumber: true,
            sort: (tally: BagTally) => weightBefore(tally)?.kilograms,
            cell: (tally: BagTally) => shownWeight(weightBefore(tally), unitFormat),
          },
        ]
      : []),
    ...(isCosted
      ? [
          {
            id: 'cost',
            header: perWeight(1, unitFormat).heading,
            isNumber: true,
            sort: costPer,
            cell: (tally: BagTally) => {
              const price = costPer(tally);
              return price === undefined ? '' : money.show(price);
            },
          },
        ]
      : []),
    {
      id: 'first',
      header: 'First',
      sort: (tally) => tally.firstOn,
      cell: (tally) => <Day>{shortDay(tally.firstOn, near)}</Day>,
    },
    {
      id: 'last',
      header: 'Last',
      sort: (tally) => tally.lastOn,
      cell: (tally) => <Day>{shortDay(tally.lastOn, near)}</Day>,
    },
  ];
  const best = tallies[0];
  const firstOn = tallies.map((t) => t.firstOn).sort()[0];
  const lastOn = tallies
    .map((t) => t.lastOn)
    .sort()
    .at(-1);
  return (
    <Page
      title="Tally"
      lead={
        tallies.length === 0
          ? year === thisYear && picked.length > 0
            ? 'Nothing picked yet this year.'
            : 'Nothing picked yet.'
          : `${pickings.length === 1 ? '1 picking' : `${pickings.length} pickings`} from ${tallies.length} ${tallies.length === 1 ? 'bag' : 'bags'}.`
      }
      actions={
        bags.length > 0 && (
          <>
            {standing.length > 1 && (
              <Button variant="outlined" onClick={() => setInRow(true)} sx={{ alignSelf: 'center' }}>
                Weigh several in a row
              </Button>
            )}
            <TextField
              select
              label="Picked from"
              value=""
              onChange={(e) => setPicking(bags.find((b) => b.container.id === e.target.value))}
              sx={{ minWidth: 200 }}
            >
              {bags.map((bag) => (
                <MenuItem key={bag.container.id} value={bag.container.id}>
                  {titleOf(bag)}
                </MenuItem>
              ))}
            </TextField>
          </>
        )
      }
    >
      {years.length > 1 && (
        <Box
          component="nav"
          aria-label="Years"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockEnd: 2 }}
        >
          {years.map((each) => (
            <Button
              key={each}
              variant={each === year ? 'contained' : 'outlined'}
              aria-current={each === year ? 'true' : undefined}
              onClick={() => change({ year: each === thisYear ? undefined : String(each) })}
            >
              {each}
            </Button>
          ))}
        </Box>
      )}
      {tallies.length === 0 ? (
        <Panel title="First, a picking">
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            Weigh or count what you pick, at the bag or here; then each bag's yield adds up on this page.
          </Typography>
          <Button component={Link} to="/bags" variant="contained">
            To the bags
          </Button>
        </Panel>
      ) : (
        <>
          <Panel>
            <Typography sx={{ fontSize: '1.15rem', marginBlockEnd: 1 }}>
              <Box
                component="span"
                sx={{ fontFamily: 'h1.fontFamily', fontSize: '2.2rem', fontWeight: 740, marginInlineEnd: 1 }}
                data-testid="total"
              >
                {unitFormat.show(total, 'crop')}
              </Box>
              {year === thisYear ? 'so far' : `in ${year}`}
              {firstOn && lastOn
                ? firstOn === lastOn
                  ? `, on ${shortDay(firstOn, near)}`
                  : `, from ${shortDay(firstOn, near)} to ${shortDay(lastOn, near)}`
                : ''}
              .{lost > 0 ? ` ${unitFormat.show(lost, 'crop')} of it was lost.` : ''}
              {best && tallies.length > 1
                ? ` Bag ${nameOf(best)} ${year === thisYear ? 'leads' : 'led'} with ${unitFormat.show(best.kilograms, 'crop')}.`
                : ''}
            </Typography>
            {before.length > 0 && (
              <Typography sx={{ marginBlockEnd: 1 }}>
                {year === thisYear
                  ? `In ${year - 1} it was ${unitFormat.show(kilogramsOf(pickingsOf(picked, year - 1, today.slice(5))), 'crop')} by this day, and ${unitFormat.show(kilogramsOf(pickingsOf(picked, year - 1)), 'crop')} in all.`
                  : `In ${year - 1} it was ${unitFormat.show(kilogramsOf(pickingsOf(picked, year - 1)), 'crop')}.`}
              </Typography>
            )}
            <Button component="a" href="#curves" sx={{ textDecoration: 'underline', paddingInline: 0 }}>
              As curves
            </Button>
          </Panel>
          <Panel title="By bag">
            <DataTable
              name="tally"
              label="Pickings by bag"
              rows={tallies}
              columns={columns}
              idOf={(tally) => tally.containerId}
            />
          </Panel>
          <Panel title="As curves" id="curves">
            <WhenSeen height={CURVES_HIGH}>
              <Suspense fallback={<Skeleton variant="rectangular" height={CURVES_HIGH} />}>
                <PickingChart
                  series={tallies.slice(0, DRAWN).map((tally) => ({ name: nameOf(tally), tally }))}
                />
              </Suspense>
              {tallies.length > DRAWN && (
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                  The {DRAWN} heaviest; all of them are in the table.
                </Typography>
              )}
            </WhenSeen>
          </Panel>
        </>
      )}
      <Suspense>{isInRow && <WeighInRow bags={standing} onClose={() => setInRow(false)} />}</Suspense>
      {picking && <EntryDialog kind="picking" bags={[picking]} onClose={() => setPicking(undefined)} />}
    </Page>
  );
}

/** What a kilogram cost: the bag's costs of the year over what was weighed in it. */
function costOfWeight(tally: BagTally, cost: number | undefined, unitFormat: UnitFormat): number | undefined {
  if (cost === undefined || cost <= 0 || tally.kilograms <= 0) return undefined;
  return perWeight(cost / tally.kilograms, unitFormat).price;
}

function Day({ children }: { readonly children: string }) {
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      {children}
    </Box>
  );
}

function NameOfBag({ bag, name }: { readonly bag: Bag | undefined; readonly name: string }) {
  if (!bag) return name;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, whiteSpace: 'nowrap' }}>
      <BagIcon properties={bag.properties} water={undefined} plants={bag.occupants.length} size={34} />
      <Link to={`/bags/${bag.container.id}`} style={{ color: 'inherit' }}>
        {name}
      </Link>
    </Box>
  );
}

function shownWeight(tally: BagTally | undefined, unitFormat: UnitFormat): string {
  return tally && tally.kilograms > 0 ? unitFormat.show(tally.kilograms, 'crop') : '';
}
