import { Box, Table, TableBody, TableCell, TableRow, Typography } from '@mui/material';
import { Page, Panel } from '../../ui/Page.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 … 5', 'on the round: what the finger felt, dust-dry to wet'],
  ['Enter', 'on the round: given as proposed, or go on'],
  ['N, P', 'on the round: next bag, bag before'],
  ['U or Ctrl Z', 'undo the last thing done'],
  ['Ctrl Shift Z', 'do it again'],
  ['?', 'this page'],
];

/** How Rundel is meant to be used, in a minute, and its keys. */
export default function HelpPage() {
  return (
    <Page title="Help and keys" width={820}>
      <Panel title="In a minute">
        <Typography component="div">
          <p>
            <strong>Round</strong> lists the bags that want a check now. Feel two knuckles deep, say what you
            felt, and it tells you whether to pour and how much the bag should take. Each check teaches it
            that bag's own thirst, so it asks less often.
          </p>
          <p>
            <strong>Bags</strong> holds your bags. A bag's page shows it in section, to scale: the mix, what
            is buried, and the water it probably holds. The hatched band is doubt; the white line is the best
            guess.
          </p>
          <p>
            <strong>Season</strong> holds the weather, <strong>Bench</strong> works things out,{' '}
            <strong>Tally</strong> adds up what you picked.
          </p>
          <p>
            Amounts can be typed in any unit: "10 gal", "13½ in", "450 g". Anything recorded can be corrected,
            removed and brought back.
          </p>
        </Typography>
      </Panel>
      <Panel title="Keys">
        <Table size="small">
          <TableBody>
            {KEYS.map(([key, what]) => (
              <TableRow key={key}>
                <TableCell component="th" scope="row" sx={{ whiteSpace: 'nowrap' }}>
                  <Box
                    component="kbd"
                    sx={{
                      border: '1.5px solid var(--ink)',
                      borderRadius: '6px',
                      paddingInline: 1,
                      fontFamily: 'inherit',
                      fontWeight: 700,
                    }}
                  >
                    {key}
                  </Box>
                </TableCell>
                <TableCell>{what}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Panel>
      <Panel title="What it does not do">
        <Typography>
          It advises and never waters. For sprays, feeds and anything that bears weight or carries current,
          labels, local rules and qualified people come first. Lift wet bags with two, cap your canes, and
          open sacks of compost away from your face.
        </Typography>
      </Panel>
    </Page>
  );
}
