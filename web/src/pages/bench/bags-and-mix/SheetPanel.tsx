import { Box, Typography } from '@mui/material';
import { liningStrip, piecesFrom, rolledDiameter, sheetFor } from '@rundel/core/bags';
import {
  amountField,
  choiceField,
  FormField,
  FormFields,
  isWhole,
  numberField,
  useFields,
  type ValuesOf,
} from '../../../ui/form/index.ts';
import { Panel } from '../../../ui/Page.tsx';
import { useUnitFormat } from '../../../store/index.ts';

type What = 'cage' | 'ring' | 'lining';

const WHAT: readonly { readonly id: What; readonly label: string }[] = [
  { id: 'cage', label: 'A cage from mesh sheet' },
  { id: 'ring', label: 'Rings or collars from sheet' },
  { id: 'lining', label: 'Linings for net cups' },
];

const size = (label: string, low: number, high: number) => amountField({ label, purpose: 'size', low, high });

const FIELDS = {
  what: choiceField<What>({ label: 'What is made', options: WHAT }),
  across: size('Across', 20, 2000),
  high: size('Height', 10, 3000),
  overlap: size('Overlap', 0, 500),
  long: size('The sheet is long', 50, 50_000),
  wide: size('and wide', 50, 10_000),
  count: numberField({
    label: 'How many',
    low: 1,
    high: 1000,
    isWhole: true,
    problem: 'A whole number from 1 to 1000.',
  }),
};

/** Usual pieces and sheets, mm. */
const USUAL: Readonly<Record<What, Omit<ValuesOf<typeof FIELDS>, 'what' | 'count'>>> = {
  cage: { across: 450, high: 1200, overlap: 50, long: 5000, wide: 1200 },
  ring: { across: 230, high: 200, overlap: 30, long: 1000, wide: 600 },
  lining: { across: 75, high: 80, overlap: 10, long: 1000, wide: 500 },
};

/** Cages and rings rolled from sheet, linings for net cups: how long a piece, how many from a sheet. */
export function SheetPanel() {
  const unitFormat = useUnitFormat();
  const shown = (mm: number) => unitFormat.show(mm, 'size');
  const form = useFields(FIELDS, { values: { what: 'cage', ...USUAL.cage, count: 4 }, isLive: true });
  const what = form.texts.what as What;
  const { overlap = NaN, long = NaN, count = NaN } = form.values;
  const answer = isWhole(form) ? worked(form.values) : undefined;
  return (
    <Panel title="Cages, rings and linings from sheet">
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' },
        }}
      >
        <FormField
          form={form}
          name="what"
          onTyped={(next) =>
            form.begin({ what: next as What, ...USUAL[next as What], count: form.values.count ?? 1 })
          }
        />
        <FormField form={form} name="across" />
        <FormField form={form} name="high" {...(what === 'lining' ? { label: 'Down the cup' } : {})} />
        <FormFields form={form} names={['overlap', 'long', 'wide', 'count']} />
      </Box>
      <Typography sx={{ marginBlockStart: 2 }} aria-live="polite">
        {answer === undefined
          ? 'The answer comes back when the numbers read.'
          : answer.kind === 'too-large'
            ? `One piece is ${shown(answer.long)} by ${shown(answer.wide)}: larger than the sheet.`
            : `Cut each ${shown(answer.long)} long and ${shown(answer.wide)} wide; ${answer.cut.perSheet} come from a sheet, so ${count} ${count === 1 ? 'takes' : 'take'} ${answer.cut.sheets} ${answer.cut.sheets === 1 ? 'sheet' : 'sheets'} with ${Math.round(answer.cut.wasteShare * 100)} % left over.`}{' '}
        {what === 'cage' && overlap < long * 0.9
          ? `The whole sheet rolled into one makes a cage ${shown(rolledDiameter(long, overlap))} across.`
          : ''}
      </Typography>
    </Panel>
  );
}

function worked({ what, across, high, overlap, ...rest }: ValuesOf<typeof FIELDS>) {
  const sheet = { lengthMillimetres: rest.long, widthMillimetres: rest.wide };
  const strip =
    what === 'lining'
      ? liningStrip(across, high, overlap)
      : { lengthMillimetres: sheetFor(across, overlap), widthMillimetres: high };
  const long = strip.lengthMillimetres;
  const wide = strip.widthMillimetres;
  const fits =
    (long <= sheet.lengthMillimetres && wide <= sheet.widthMillimetres) ||
    (wide <= sheet.lengthMillimetres && long <= sheet.widthMillimetres);
  return fits
    ? { kind: 'cut' as const, long, wide, cut: piecesFrom(sheet, strip, rest.count) }
    : { kind: 'too-large' as const, long, wide };
}
