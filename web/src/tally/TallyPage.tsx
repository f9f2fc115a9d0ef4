import {
  Box,
  Button,
  Skeleton,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  MenuItem,
  Typography,
} from '@mui/material';
import { dayOf } from '@rundel/core/climate';
import { kilogramsIn, tallyPickings, type BagTally } from '@rundel/core/picking';
import { UNITS } from '@rundel/core/units';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { PickDialog } from '../parts/EntryDialogs.tsx';
import { Page, Panel } from '../parts/Page.tsx';
import { titleOf } from '../parts/bag-words.ts';
import { shortDay } from '../parts/words.ts';
import { BagMark } from '../section/index.ts';
import { useBags, useGarden, useMoney, useShown, type Bag, type Money, type Shown } from '../store/index.ts';
import { useCosts } from '../store/supplies.ts';

const PickingChart = lazy(() => import('./PickingChart.tsx'));

/** What each bag has yielded. */
export default function TallyPage() {
  const { live, garden, clock } = useGarden();
  const { bags } = useBags();
  const shown = useShown();
  const money = useMoney();
  const year = Number(clock.now().slice(0, 4));
  const costs = useCosts(year);
  const [picking, setPicking] = useState<Bag>();
  const pickings = useMemo(() => live.filter((e) => e.kind === 'picking'), [live]);
  const tallies = useMemo(() => tallyPickings(pickings), [pickings]);
  const total = tallies.reduce((sum, t) => sum + t.kilograms, 0);
  const today = dayOf(clock.now());
  const nameOf = (tally: BagTally) => {
    const bag = bags.find((b) => b.container.id === tally.containerId);
    if (bag) return titleOf(bag);
    const binned = garden.containers.find((c) => c.id === tally.containerId);
    return binned ? `${binned.label} (in the bin)` : 'a bag that is not in this garden';
  };
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
          ? 'Nothing picked yet.'
          : `${pickings.length} pickings from ${tallies.length} ${tallies.length === 1 ? 'bag' : 'bags'}.`
      }
      actions={
        bags.length > 0 && (
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
        )
      }
    >
      {tallies.length === 0 ? (
        <Panel title="First, a picking">
          <Typography sx={{ marginBlockEnd: 1.5 }}>
            Weigh or count what you pick, at the bag or here; then each bag's yield adds up on this page.
          </Typography>
          <Button component={Link} to="/stands" variant="contained">
            To the bags
          </Button>
        </Panel>
      ) : (
        <Box
          sx={{
            display: 'grid',
            gap: 2.5,
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 0.8fr) minmax(0, 1fr)' },
            alignItems: 'start',
          }}
        >
          <Panel>
            <Typography sx={{ fontSize: '1.15rem', marginBlockEnd: 1 }}>
              <Box
                component="span"
                sx={{ fontFamily: 'h1.fontFamily', fontSize: '2.2rem', fontWeight: 740, marginInlineEnd: 1 }}
                data-testid="total"
              >
                {shown.show(total, 'crop')}
              </Box>
              so far
              {firstOn && lastOn
                ? firstOn === lastOn
                  ? `, on ${shortDay(firstOn, today)}`
                  : `, from ${shortDay(firstOn, today)} to ${shortDay(lastOn, today)}`
                : ''}
              .
              {best && tallies.length > 1
                ? ` Bag ${nameOf(best)} leads with ${shown.show(best.kilograms, 'crop')}.`
                : ''}
            </Typography>
            <Suspense fallback={<Skeleton variant="rectangular" height={340} />}>
              <PickingChart series={tallies.slice(0, 6).map((tally) => ({ name: nameOf(tally), tally }))} />
            </Suspense>
            {tallies.length > 6 && (
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                The six heaviest; all of them are in the table.
              </Typography>
            )}
          </Panel>
          <Panel title="By bag">
            <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Pickings by bag">
              <Table size="small" sx={{ '& td, & th': { paddingInline: 0.75, whiteSpace: 'nowrap' } }}>
                <TableHead>
                  <TableRow>
                    <TableCell>Bag</TableCell>
                    <TableCell align="right">Weight</TableCell>
                    <TableCell align="right">Fruit</TableCell>
                    <TableCell align="right">Times</TableCell>
                    <TableCell align="right">{perWeight(1, shown).heading}</TableCell>
                    <TableCell>First</TableCell>
                    <TableCell>Last</TableCell>
                  </TableRow>
                </TableHead>
                <TableBody>
                  {tallies.map((tally) => {
                    const bag = bags.find((b) => b.container.id === tally.containerId);
                    return (
                      <TableRow key={tally.containerId}>
                        <TableCell>
                          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                            {bag && (
                              <BagMark
                                body={bag.body}
                                water={undefined}
                                plants={bag.occupants.length}
                                size={34}
                              />
                            )}
                            {bag ? (
                              <Link to={`/stands/${bag.container.id}`} style={{ color: 'inherit' }}>
                                {nameOf(tally)}
                              </Link>
                            ) : (
                              nameOf(tally)
                            )}
                          </Box>
                        </TableCell>
                        <TableCell align="right">
                          {shown.show(tally.kilograms, 'crop')}
                          {tally.unweighed > 0 ? ` + ${tally.unweighed} unweighed` : ''}
                        </TableCell>
                        <TableCell align="right">{tally.count > 0 ? tally.count : ''}</TableCell>
                        <TableCell align="right">{tally.pickings}</TableCell>
                        <TableCell align="right">
                          {costThisYear(tally, year, costs.get(tally.containerId)?.total, shown, money)}
                        </TableCell>
                        <TableCell sx={{ whiteSpace: 'nowrap' }}>{shortDay(tally.firstOn, today)}</TableCell>
                        <TableCell sx={{ whiteSpace: 'nowrap' }}>{shortDay(tally.lastOn, today)}</TableCell>
                      </TableRow>
                    );
                  })}
                </TableBody>
              </Table>
            </Box>
          </Panel>
        </Box>
      )}
      {picking && <PickDialog bag={picking} isOpen onClose={() => setPicking(undefined)} />}
    </Page>
  );
}

/** A price for a kilogram as the grower weighs: by the kilogram or the pound. */
function perWeight(pricePerKilogram: number, shown: Shown) {
  return shown.system === 'metric'
    ? { heading: 'Cost a kg', price: pricePerKilogram }
    : { heading: 'Cost a lb', price: pricePerKilogram * UNITS.pound.factor };
}

/** What a kilogram cost in a year: the bag's costs over what was weighed in that year. */
function costThisYear(
  tally: BagTally,
  year: number,
  cost: number | undefined,
  shown: Shown,
  money: Money,
): string {
  const kilograms = kilogramsIn(tally, year);
  if (cost === undefined || cost <= 0 || kilograms <= 0) return '';
  return money.show(perWeight(cost / kilograms, shown).price);
}
