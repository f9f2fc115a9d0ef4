import { Box, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { dayOf, daysBetween } from '@rundel/core/calendar';
import type { PriceLog } from '@rundel/core/stock';
import { shortDay } from '../../../text/text.ts';
import { useGarden, useMoney } from '../../../store/index.ts';

const WIDE = 520;
const HIGH = 120;

/** Prices per unit through time: paid ones filled, those only seen open, the usual as a line; and the same as a table. */
export function PriceDots({
  log,
  unit,
}: {
  readonly log: PriceLog;
  /** what a price is for, in words, and how many of the product's own units that is */
  readonly unit: { readonly label: string; readonly amount: number };
}) {
  const { clock } = useGarden();
  const money = useMoney();
  const today = dayOf(clock.now());
  const first = dayOf(log.points[0]?.at ?? clock.now());
  const last = dayOf(log.latest.at);
  const span = Math.max(1, daysBetween(first, last));
  const top = Math.max(...log.points.map((p) => p.perUnit)) * 1.15;
  const x = (at: string) => 20 + (daysBetween(first, dayOf(at)) / span) * (WIDE - 40);
  const y = (perUnit: number) => HIGH - 18 - (perUnit / top) * (HIGH - 34);
  const cheapest = log.points.reduce((best, p) => (p.perUnit < best.perUnit ? p : best));
  return (
    <Box>
      <Box sx={{ fontSize: '0.92rem', marginBlockEnd: 0.5 }}>
        Usually {money.show(log.usualPerUnit * unit.amount)} {unit.label}; cheapest was{' '}
        {money.show(cheapest.perUnit * unit.amount)} on {shortDay(dayOf(cheapest.at), today)}.
      </Box>
      <svg
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        width="100%"
        style={{ maxWidth: WIDE }}
        role="img"
        aria-label="Prices through time; the table has the same"
      >
        <line x1="10" x2={WIDE - 10} y1={y(0)} y2={y(0)} stroke="var(--ink)" strokeWidth="1.5" />
        <line
          x1="10"
          x2={WIDE - 10}
          y1={y(log.usualPerUnit)}
          y2={y(log.usualPerUnit)}
          stroke="var(--muted)"
          strokeDasharray="5 4"
        />
        {log.points.map((p, i) => (
          <circle
            key={i}
            cx={x(p.at)}
            cy={y(p.perUnit)}
            r="6"
            fill={p.isPaid ? 'var(--action)' : 'var(--surface)'}
            stroke="var(--action)"
            strokeWidth="2"
          />
        ))}
        <text x="10" y={HIGH - 3} fontSize="12" fill="var(--muted)">
          {shortDay(first, today)}
        </text>
        <text x={WIDE - 10} y={HIGH - 3} fontSize="12" fill="var(--muted)" textAnchor="end">
          {shortDay(last, today)}
        </text>
      </svg>
      <Table size="small" sx={{ maxWidth: WIDE }}>
        <TableHead>
          <TableRow>
            <TableCell>Day</TableCell>
            <TableCell align="right">Price</TableCell>
            <TableCell align="right">{unit.label}</TableCell>
            <TableCell>How</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {log.points.map((p, i) => (
            <TableRow key={i}>
              <TableCell>{shortDay(dayOf(p.at), today)}</TableCell>
              <TableCell align="right">{money.show(p.price)}</TableCell>
              <TableCell align="right">{money.show(p.perUnit * unit.amount)}</TableCell>
              <TableCell>{p.isPaid ? 'paid' : 'seen'}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
