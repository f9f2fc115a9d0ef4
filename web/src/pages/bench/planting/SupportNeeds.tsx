import { resolveAssumed } from '@rundel/core/assumed';
import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { findProduct } from '@rundel/core/products';
import { wireLoad, type SupportNeed } from '@rundel/core/plants';
import type { ReactNode } from 'react';
import { Caution } from '../../../ui/Caution.tsx';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { productAmount, productName } from '../../../text/product-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

/** String, canes, ties, caps and cages for all chosen bags together: what the shed has, and what is to buy. */
export function SupportNeeds({
  needs,
  canopySquareMetres,
  onPutUp,
  children,
}: {
  readonly needs: readonly SupportNeed[];
  readonly canopySquareMetres: number;
  onPutUp(): void;
  readonly children: ReactNode;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const load = wireLoad(canopySquareMetres, resolveAssumed(garden.settings.assumptions));
  const hasCanes = needs.some((n) => n.productId.startsWith('cane'));
  const amount = (productId: string, value: number) =>
    productAmount(findProduct(productId, garden.products), value, unitFormat);
  return (
    <Panel title="What you need">
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          marginBlockEnd: 2,
          '@media print': { display: 'none' },
        }}
      >
        {children}
      </Box>
      {needs.length === 0 ? (
        <Typography sx={{ color: 'text.secondary' }}>Nothing: no support is chosen yet.</Typography>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="What the supports take">
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>What</TableCell>
                <TableCell align="right">In all</TableCell>
                <TableCell align="right">In the shed</TableCell>
                <TableCell align="right">To buy</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {needs.map((need) => (
                <TableRow key={need.productId}>
                  <TableCell>
                    {productName(need.productId, garden.products)}
                    {need.lengthMillimetres !== undefined && (
                      <Box component="span" sx={{ color: 'text.secondary' }}>
                        , the longest {unitFormat.show(need.lengthMillimetres, 'height')}
                      </Box>
                    )}
                  </TableCell>
                  <TableCell align="right">{amount(need.productId, need.amount)}</TableCell>
                  <TableCell align="right">
                    {need.fromShed > 0 ? amount(need.productId, need.fromShed) : ''}
                  </TableCell>
                  <TableCell align="right">
                    <strong>{need.toBuy > 0 ? amount(need.productId, need.toBuy) : 'nothing'}</strong>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      {hasCanes && <CautionOf id="canes" />}
      {load.kilograms > 0 && (
        <Caution>
          At the peak of the crop the strings carry about {unitFormat.show(load.kilograms, 'weight')}; with
          wet leaves and wind, reckon with {unitFormat.show(load.withMargin, 'weight')}. Whether wire and
          house bear that is for someone who knows the house to say.
        </Caution>
      )}
      {needs.length > 0 && (
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            gap: 1,
            marginBlockStart: 1,
            '@media print': { display: 'none' },
          }}
        >
          <Button variant="contained" onClick={onPutUp}>
            They are up
          </Button>
          <Button variant="outlined" onClick={() => print()}>
            Print it
          </Button>
        </Box>
      )}
    </Panel>
  );
}
