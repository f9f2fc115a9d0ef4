import { Box, TextField, Typography } from '@mui/material';
import { liningStrip, piecesFrom, rolledDiameter, sheetFor } from '@rundel/core/bags';
import { useState } from 'react';
import { AmountField } from '../../../ui/AmountField.tsx';
import { readAmount, type ReadAmount } from '../../../text/amount-text.ts';
import { Panel } from '../../../ui/Page.tsx';
import { Select } from '../../../ui/Select.tsx';
import { useUnitFormat } from '../../../store/index.ts';

type What = 'cage' | 'ring' | 'lining';

const WHAT: readonly { readonly id: What; readonly label: string }[] = [
  { id: 'cage', label: 'A cage from mesh sheet' },
  { id: 'ring', label: 'Rings or collars from sheet' },
  { id: 'lining', label: 'Linings for net cups' },
];

/** Cages and rings rolled from sheet, linings for net cups: how long a piece, how many from a sheet. */
export function SheetPanel() {
  const unitFormat = useUnitFormat();
  const { system } = unitFormat;
  const size = (mm: number) => unitFormat.show(mm, 'size');
  const [what, setWhat] = useState<What>('cage');
  const [across, setAcross] = useState(size(450));
  const [high, setHigh] = useState(size(1200));
  const [overlap, setOverlap] = useState(size(50));
  const [sheetLong, setLong] = useState(size(5000));
  const [sheetWide, setWide] = useState(size(1200));
  const [count, setCount] = useState('4');
  const choose = (next: What) => {
    setWhat(next);
    const [d, h, o, l, w] = {
      cage: [450, 1200, 50, 5000, 1200],
      ring: [230, 200, 30, 1000, 600],
      lining: [75, 80, 10, 1000, 500],
    }[next] as [number, number, number, number, number];
    setAcross(size(d));
    setHigh(size(h));
    setOverlap(size(o));
    setLong(size(l));
    setWide(size(w));
  };
  const read = (text: string, low: number, highest: number) =>
    readAmount(text, { purpose: 'size', system, low, high: highest });
  const reads = {
    across: read(across, 20, 2000),
    high: read(high, 10, 3000),
    overlap: read(overlap, 0, 500),
    long: read(sheetLong, 50, 50_000),
    wide: read(sheetWide, 50, 10_000),
  };
  const number = Number(count);
  const isCount = Number.isInteger(number) && number >= 1 && number <= 1000;
  const all = Object.values(reads).every((r) => r.kind === 'given') && isCount;
  const siValue = (r: ReadAmount) => (r.kind === 'given' ? r.siValue : NaN);
  const answer = all
    ? worked(
        what,
        { across: siValue(reads.across), high: siValue(reads.high), overlap: siValue(reads.overlap) },
        { lengthMillimetres: siValue(reads.long), widthMillimetres: siValue(reads.wide) },
        number,
      )
    : undefined;
  const field = (label: string, value: string, set: (next: string) => void, r: ReadAmount) => (
    <AmountField
      purpose="size"
      label={label}
      value={value}
      onChange={(e) => set(e.target.value)}
      error={r.kind === 'refused'}
      helperText={r.kind === 'refused' ? r.problem : undefined}
    />
  );
  const whole = siValue(reads.long);
  return (
    <Panel title="Cages, rings and linings from sheet">
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' },
        }}
      >
        <Select label="What is made" value={what} onChange={choose} options={WHAT} />
        {field('Across', across, setAcross, reads.across)}
        {field(what === 'lining' ? 'Down the cup' : 'Height', high, setHigh, reads.high)}
        {field('Overlap', overlap, setOverlap, reads.overlap)}
        {field('The sheet is long', sheetLong, setLong, reads.long)}
        {field('and wide', sheetWide, setWide, reads.wide)}
        <TextField
          label="How many"
          value={count}
          onChange={(e) => setCount(e.target.value)}
          error={!isCount}
          helperText={isCount ? undefined : 'A whole number from 1 to 1000.'}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
      </Box>
      <Typography sx={{ marginBlockStart: 2 }} aria-live="polite">
        {answer === undefined
          ? 'The answer comes back when the numbers read.'
          : answer.kind === 'too-large'
            ? `One piece is ${size(answer.long)} by ${size(answer.wide)}: larger than the sheet.`
            : `Cut each ${size(answer.long)} long and ${size(answer.wide)} wide; ${answer.cut.perSheet} come from a sheet, so ${number} ${number === 1 ? 'takes' : 'take'} ${answer.cut.sheets} ${answer.cut.sheets === 1 ? 'sheet' : 'sheets'} with ${Math.round(answer.cut.wasteShare * 100)} % left over.`}{' '}
        {what === 'cage' && Number.isFinite(whole) && siValue(reads.overlap) < whole * 0.9
          ? `The whole sheet rolled into one makes a cage ${size(rolledDiameter(whole, siValue(reads.overlap)))} across.`
          : ''}
      </Typography>
    </Panel>
  );
}

function worked(
  what: What,
  piece: { readonly across: number; readonly high: number; readonly overlap: number },
  sheet: { readonly lengthMillimetres: number; readonly widthMillimetres: number },
  count: number,
) {
  const strip =
    what === 'lining'
      ? liningStrip(piece.across, piece.high, piece.overlap)
      : { lengthMillimetres: sheetFor(piece.across, piece.overlap), widthMillimetres: piece.high };
  const long = strip.lengthMillimetres;
  const wide = strip.widthMillimetres;
  const fits =
    (long <= sheet.lengthMillimetres && wide <= sheet.widthMillimetres) ||
    (wide <= sheet.lengthMillimetres && long <= sheet.widthMillimetres);
  return fits
    ? { kind: 'cut' as const, long, wide, cut: piecesFrom(sheet, strip, count) }
    : { kind: 'too-large' as const, long, wide };
}
