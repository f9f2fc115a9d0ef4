import {
  Box,
  Button,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from '@mui/material';
import { ASSUMPTION_THEMES, type Assumption } from '@rundel/core/assumed';
import { CROPS } from '@rundel/core/plants';
import { trimmed } from '@rundel/core/units';
import { useMemo, useState } from 'react';
import { learntOf } from '@rundel/core/garden-state';
import { readNumber } from '../../text/amount-text.ts';
import { useGarden, told } from '../../store/index.ts';

interface Row {
  readonly key: string;
  readonly name: string;
  readonly assumption: Assumption;
}

/** Every judgement in one table: the core's own by theme, and each habit's three figures. */
const THEMES: readonly { readonly name: string; readonly rows: readonly Row[] }[] = [
  ...ASSUMPTION_THEMES.map(({ name, assumptions }) => ({
    name,
    rows: Object.entries(assumptions).map(([key, assumption]) => ({ key, name: words(key), assumption })),
  })),
  {
    name: 'Plants',
    rows: CROPS.flatMap((crop) =>
      crop.habits.flatMap((habit) =>
        (['fullHeightMillimetres', 'canopySquareMetres', 'weeksToFull'] as const).map((figure) => ({
          key: `${crop.id}.${habit.id}.${figure}`,
          name: `${crop.name}, ${habit.name.toLowerCase()}: ${words(figure.replace(/Millimetres|SquareMetres/, ''))}`,
          assumption: habit[figure],
        })),
      ),
    ),
  },
];
const COUNT = THEMES.reduce((sum, { rows }) => sum + rows.length, 0);

function words(key: string): string {
  return key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}

/** The constants that are judgements and not published figures, with reason and range; each can be overridden. */
export function AssumptionsPanel() {
  const { garden, live, saveSettings } = useGarden();
  const [isOpen, setOpen] = useState(false);
  const own = garden.settings.assumptions;
  const learnt: Partial<Record<string, number>> = useMemo(
    () => ({ ...learntOf(garden, live).assumptions }),
    [garden, live],
  );
  const count = Object.keys(own).length;
  const keep = (key: string, value: number | undefined) => {
    const { [key]: _, ...rest } = own;
    told(
      saveSettings({
        ...garden.settings,
        assumptions: value === undefined ? rest : { ...rest, [key]: value },
      }),
    );
  };
  return (
    <Box>
      <Typography sx={{ marginBlockEnd: 1 }}>
        Some numbers in Rundel are judgements and not measurements. Here they are, with their reasons and the
        range in which they could honestly lie.{' '}
        {count === 0 ? 'None is changed.' : `You have changed ${count}.`}
      </Typography>
      <Button variant="outlined" onClick={() => setOpen((open) => !open)} aria-expanded={isOpen}>
        {isOpen ? 'Close the table' : `Show all ${COUNT}`}
      </Button>
      {isOpen && (
        <Box
          sx={{ overflowX: 'auto', marginBlockStart: 1.5 }}
          tabIndex={0}
          role="region"
          aria-label="Every assumption"
        >
          <Table size="small">
            <TableHead>
              <TableRow>
                {['What and why', 'In use', 'Range', 'Unit'].map((head) => (
                  <TableCell key={head}>{head}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            {THEMES.map((theme) => (
              <TableBody key={theme.name}>
                <TableRow>
                  <TableCell
                    component="th"
                    scope="rowgroup"
                    colSpan={4}
                    sx={{ paddingBlockStart: 3, fontSize: '1.05rem' }}
                  >
                    {theme.name}
                  </TableCell>
                </TableRow>
                {theme.rows.map((row) => (
                  <TableRow key={row.key}>
                    <TableCell>
                      <strong>{row.name}</strong>
                      <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>{row.assumption.reason}</Box>
                    </TableCell>
                    <TableCell>
                      <OwnNumber
                        name={row.name}
                        assumption={row.assumption}
                        own={own[row.key]}
                        learnt={learnt[row.key]}
                        onKeep={(value) => keep(row.key, value)}
                      />
                    </TableCell>
                    <TableCell sx={{ whiteSpace: 'nowrap' }}>
                      {trimmed(row.assumption.low, 3)} to {trimmed(row.assumption.high, 3)}
                    </TableCell>
                    <TableCell>{row.assumption.unit}</TableCell>
                  </TableRow>
                ))}
              </TableBody>
            ))}
          </Table>
        </Box>
      )}
    </Box>
  );
}

function OwnNumber({
  name,
  assumption,
  own,
  learnt,
  onKeep,
}: {
  readonly name: string;
  readonly assumption: Assumption;
  readonly own: number | undefined;
  /** what the diary has taught in its place, until the grower sets one */
  readonly learnt: number | undefined;
  onKeep(value: number | undefined): void;
}) {
  const [text, setText] = useState(trimmed(own ?? assumption.value, 3));
  const read = readNumber(text, { low: assumption.low, high: assumption.high, isOptional: true });
  const isWrong = !read.ok;
  const number = (read.ok ? read.value : undefined) ?? NaN;
  const leave = () => {
    if (text.trim() === '') {
      setText(trimmed(assumption.value, 3));
      onKeep(undefined);
    } else if (!isWrong && Math.abs(number - (own ?? assumption.value)) > 1e-9) {
      onKeep(Math.abs(number - Number(trimmed(assumption.value, 3))) < 1e-9 ? undefined : number);
    }
  };
  return (
    <TextField
      variant="standard"
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={leave}
      onKeyDown={(event) => event.key === 'Enter' && leave()}
      error={isWrong}
      helperText={
        isWrong
          ? 'Outside the range: not used.'
          : own !== undefined
            ? 'yours; empty to go back'
            : learnt !== undefined
              ? `learnt here: ${trimmed(learnt, 2)} is used`
              : undefined
      }
      slotProps={{ htmlInput: { 'aria-label': name, inputMode: 'decimal', style: { width: 70 } } }}
    />
  );
}
