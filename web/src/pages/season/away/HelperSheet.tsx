import { Box, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { AwayPlan } from '@rundel/core/away';
import { inWalkingOrder } from '@rundel/core/round';
import { useMemo } from 'react';
import { BagElevation, sceneOf } from '../../../section/index.ts';
import { wateringMeasure, placesInUse, useGarden, useUnitFormat, type Bag } from '../../../store/index.ts';
import { comeWords, takesWords, visitColumns } from './away-words.ts';

/** What a neighbour needs: which days, which bags in which order, how much, and how to tell that it is enough. */
export function HelperSheet({ plan, bags }: { readonly plan: AwayPlan; readonly bags: readonly Bag[] }) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const measure = wateringMeasure(garden);
  const helped = useMemo(() => {
    const plans = new Map(plan.bags.filter((b) => b.isHelped).map((b) => [b.containerId, b]));
    const byId = new Map(bags.map((bag) => [bag.container.id, bag]));
    return inWalkingOrder(
      bags.map((b) => b.container),
      placesInUse(garden),
    ).flatMap((container) => {
      const [row, bag] = [plans.get(container.id), byId.get(container.id)];
      return row && bag ? [{ row, bag }] : [];
    });
  }, [bags, garden, plan.bags]);
  if (plan.visits.length === 0) return null;
  const columns = visitColumns(plan.visits);
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1 }}>
        Please come <strong>{comeWords(plan.visits)}</strong>, in the evening or early. The bags stand in the
        order of this sheet. Thank you!
      </Typography>
      <Box component="ol" sx={{ paddingInlineStart: 3, marginBlock: 1, '& li': { marginBlockEnd: 0.5 } }}>
        <li>Feel the mix two knuckles deep. If it is wet and shines, leave that bag alone.</li>
        <li>
          Pour slowly, about half of what is written; wait a minute; pour on until a little water comes out
          below. Stop there, even if it took less.
        </li>
        <li>Water on the mix, not on the leaves. Fill saucers, pots and reservoirs last.</li>
        <li>A full can is heavy: carry half cans, and mind wet paving. If anything looks odd, ring us.</li>
      </Box>
      <Table size="small" aria-label="What each bag takes">
        <TableHead>
          <TableRow>
            <TableCell>Bag</TableCell>
            {columns.map(({ heading }) => (
              <TableCell key={heading}>{heading}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {helped.map(({ row, bag }) => (
            <TableRow key={row.containerId} sx={{ breakInside: 'avoid' }}>
              <TableCell>
                <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                  <SheetSection bag={bag} />
                  <span>
                    <strong style={{ fontSize: '1.15rem' }}>{bag.container.label}</strong> {bag.name}
                    <br />
                    {bag.place?.name}
                  </span>
                </Box>
              </TableCell>
              {columns.map(({ heading, from, to }) => {
                const takes = takesWords(row.planned.visitLitres.slice(from, to), measure, unitFormat);
                return (
                  <TableCell key={heading}>
                    <strong>{takes.fills}</strong>
                    <br />
                    {takes.litres}
                  </TableCell>
                );
              })}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

/** The bag as it stands, small, so that the helper finds it. */
function SheetSection({ bag }: { readonly bag: Bag }) {
  const { clock, garden, live } = useGarden();
  const scene = useMemo(
    () =>
      sceneOf(bag.container, bag.properties, bag.occupants, undefined, clock.now(), garden.settings, live),
    [bag, clock, garden.settings, live],
  );
  const pixelsPerMillimetre = Math.min(70 / (2 * scene.halfWidest), 60 / scene.heightMillimetres);
  return (
    <Box
      aria-hidden
      sx={{
        width: 84,
        height: 72,
        overflow: 'hidden',
        // a phone has no room for it beside the amounts
        display: { xs: 'none', sm: 'grid' },
        '@media print': { display: 'grid' },
        alignContent: 'end',
        justifyContent: 'center',
      }}
    >
      <BagElevation scene={scene} pixelsPerMillimetre={pixelsPerMillimetre} />
    </Box>
  );
}
