import { Box, MenuItem, TextField, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { useState } from 'react';
import { useHref } from 'react-router';
import { useBags, useUnitFormat, type Bag } from '../../../store/index.ts';
import { kindWords } from '../../../text/bag-text.ts';
import { readNumber } from '../../../text/amount-text.ts';
import { shortDay } from '../../../text/text.ts';
import { BagChooser } from '../../../ui/BagChooser.tsx';
import { QrCode } from '../../../ui/QrCode.tsx';
import { codeOfBag } from '../bag-of-code.ts';
import { LABEL_SHEETS, onSheets, type LabelSheet } from './label-sheets.ts';
import { PrintButton } from './PrintButton.tsx';

/** The labels of the chosen bags on the chosen sheet, to scale. */
export function Labels() {
  const { bags } = useBags();
  const [chosen, setChosen] = useState<readonly string[]>();
  const [sheetId, setSheet] = useState(LABEL_SHEETS[0]?.id ?? '');
  const [skippedText, setSkipped] = useState('');
  const sheet = LABEL_SHEETS.find(({ id }) => id === sheetId) ?? (LABEL_SHEETS[0] as LabelSheet);
  const perSheet = sheet.columns * sheet.rows;
  const read = readNumber(skippedText, { low: 0, high: perSheet - 1, isWhole: true, isOptional: true });
  const skipped = perSheet > 1 && read.ok ? (read.value ?? 0) : 0;
  const shown = bags.filter(({ container }) => chosen?.includes(container.id) ?? true);
  const pages = onSheets(shown, sheet, skipped);
  if (bags.length === 0) return <Typography>There is no bag to label yet.</Typography>;
  return (
    <>
      <style>{`
        @page { size: ${sheet.page}; margin: 0 }
        @media print {
          body { margin: 0 }
          [data-page] { padding: 0 !important; max-width: none !important; margin: 0 !important }
          [data-page] > [data-page-head] { display: none !important }
        }
      `}</style>
      <Box sx={{ '@media print': { display: 'none' } }}>
        <BagChooser bags={bags} chosen={shown} onChange={setChosen} label="Labels for" />
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start', marginBlock: 1.5 }}>
          <TextField
            select
            label="Sheet"
            value={sheet.id}
            onChange={(e) => setSheet(e.target.value)}
            sx={{ minWidth: 250 }}
          >
            {LABEL_SHEETS.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          {perSheet > 1 && (
            <TextField
              label="Used up on the first sheet"
              value={skippedText}
              onChange={(e) => setSkipped(e.target.value)}
              error={!read.ok}
              helperText={read.ok ? 'So many labels are gone already.' : read.problem}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              sx={{ width: 250 }}
            />
          )}
          <PrintButton>{`Print ${shown.length} ${shown.length === 1 ? 'label' : 'labels'}`}</PrintButton>
        </Box>
        <Typography sx={{ color: 'text.secondary', marginBlockEnd: 1.5 }}>
          Print at full size, without margins of the printer’s own. A phone’s camera, or Scan in Rundel, opens
          the bag by its code.
        </Typography>
      </Box>
      <Box sx={{ overflowX: 'auto', '@media print': { overflow: 'visible' } }}>
        {pages.map((page, i) => (
          <Box
            key={i}
            data-label-sheet
            sx={{
              display: 'grid',
              gridTemplateColumns: `repeat(${sheet.columns}, ${sheet.wide}mm)`,
              gridAutoRows: `${sheet.high}mm`,
              columnGap: `${sheet.gapX}mm`,
              paddingBlockStart: `${sheet.marginTop}mm`,
              paddingInlineStart: `${sheet.marginLeft}mm`,
              marginBlockEnd: 2,
              width: 'max-content',
              '&:not(:last-child)': { breakAfter: 'page' },
              '@media print': { marginBlockEnd: 0 },
            }}
          >
            {page.map((bag, place) =>
              bag ? (
                <Label key={bag.container.id} bag={bag} high={sheet.high} />
              ) : (
                <Box key={place} sx={{ border: '1px dashed var(--line)', '@media print': { border: 0 } }} />
              ),
            )}
          </Box>
        ))}
      </Box>
    </>
  );
}

/** One label: what it is called, what stands in it, and the code that opens it. Black on white in every theme: it is paper. */
function Label({ bag, high }: { readonly bag: Bag; readonly high: number }) {
  const unitFormat = useUnitFormat();
  const { container, occupants, place } = bag;
  const code = codeOfBag(useHref(`/bags/${container.id}`), location.href);
  const [first] = occupants;
  const names = [...new Set(occupants.map(({ variety }) => variety.name))].join(', ');
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: '2.5mm',
        padding: '2.5mm 3.5mm',
        overflow: 'hidden',
        backgroundColor: '#ffffff',
        color: '#000000',
        outline: '1px dashed #b8b8b8',
        '@media print': { outline: 0 },
      }}
    >
      <QrCode text={code} size={`${Math.min(high - 6, 30)}mm`} title={`Code of bag ${container.label}`} />
      <Box sx={{ minWidth: 0, fontSize: high < 30 ? '7.5pt' : '8.5pt', lineHeight: 1.25 }}>
        <Box sx={{ fontSize: high < 30 ? '16pt' : '22pt', fontWeight: 700, lineHeight: 1 }}>
          {container.label}
        </Box>
        {names && <Box sx={{ fontWeight: 650, maxHeight: '2.5em', overflow: 'hidden' }}>{names}</Box>}
        {first && high >= 30 && <Box>planted {shortDay(dayOf(first.plantedOn))}</Box>}
        <Box sx={{ maxHeight: '2.5em', overflow: 'hidden' }}>
          {kindWords(bag, unitFormat)}
          {place && high >= 30 ? `, ${place.name}` : ''}
        </Box>
      </Box>
    </Box>
  );
}
