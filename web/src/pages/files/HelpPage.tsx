import { Box, Table, TableBody, TableCell, TableRow, Typography } from '@mui/material';
import { Link } from 'react-router';
import { Page, Panel } from '../../ui/Page.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 … 5', 'on the round: what the finger felt, dust-dry to wet'],
  ['Enter', 'on the round: given as proposed, or go on'],
  ['N, P', 'on the round: next bag, bag before'],
  ['U or Ctrl Z', 'undo the last thing done'],
  ['Ctrl Shift Z', 'do it again'],
  [
    '/ or Ctrl K',
    'find a bag or a page, or say what was done: “picked 450 g from 7”, “3 dry, 4 and 5 wet”, “tied 3 and 4”, “aphids on 7”, “moved 3 to the terrace”, “5 died”, “no rain yesterday”, “fed 7 tomato feed, 1 can”, “sprayed 7 with soap”, “actually 7 was moist”',
  ],
  ['?', 'this page'],
];

interface Task {
  readonly what: string;
  readonly how: string;
  readonly to: string;
  /** what the link says */
  readonly place: string;
}

/** Help by what one wants to do, in the order of the year, each with the place where it is done. */
const TASKS: readonly Task[] = [
  {
    what: 'Choose a bag for a plant',
    how: 'All sizes side by side, with how often each wants water.',
    to: '/bench/size',
    place: 'Which bag',
  },
  {
    what: 'Set up a bag that I have',
    how: 'Say which, how big, what is in it and how tall; touch the drawing to say more.',
    to: '/bags/new',
    place: 'Add a bag',
  },
  {
    what: 'Fill it, and know what to buy',
    how: 'Litres and spoons for as many bags as you like.',
    to: '/bench/fill',
    place: 'Fill and feed',
  },
  {
    what: 'Know how deep to plant',
    how: 'Try a seedling in a bag; nothing is stored.',
    to: '/bench/depth',
    place: 'Planting',
  },
  {
    what: 'Plant several bags',
    how: 'Step by step, ticked as you go, and taken up again after an interruption.',
    to: '/round/planting',
    place: 'Plant bags',
  },
  {
    what: 'Know whether to water',
    how: 'Feel two knuckles deep, say what you felt: it says whether to pour, and how much the bag should take.',
    to: '/round',
    place: 'Start the round',
  },
  {
    what: 'Record what I did earlier, or at several bags',
    how: 'Open a bag, or tick several; each form has "It was earlier".',
    to: '/bags',
    place: 'Bags',
  },
  {
    what: 'Put a mistake right',
    how: 'Undo is at the head of the screen; later, every line of a bag’s diary can be corrected.',
    to: '/bags',
    place: 'Bags',
  },
  {
    what: 'Feed',
    how: 'Choose a regime for some bags; what is due then comes up on the round.',
    to: '/bench/regimes',
    place: 'Regimes',
  },
  {
    what: 'Know what is wrong with a plant',
    how: 'Open its bag, then "Look into trouble": mark what you see; it is weighed against the bag’s own diary.',
    to: '/bags',
    place: 'Bags',
  },
  {
    what: 'Train it: side shoots, leaves, tips',
    how: 'What each form asks for, drawn; jobs come up on the round. Turn off what you do otherwise.',
    to: '/bench/training',
    place: 'Training',
  },
  {
    what: 'Spray, and clean a bag',
    how: 'On a bag’s page under the three dots, or tick several bags: a leaf first, then the whole plant.',
    to: '/bags',
    place: 'Bags',
  },
  {
    what: 'Be warned of frost and heat',
    how: 'Enter or read the days ahead; what is coming stands on the round.',
    to: '/season/weather',
    place: 'Season',
  },
  {
    what: 'Go away',
    how: 'What to do before, and a sheet for who waters.',
    to: '/season/away',
    place: 'Going away',
  },
  {
    what: 'Plan next year, and mind the frost',
    how: 'Bands of each bag’s year; a plan is dragged or moved with the arrow keys.',
    to: '/season',
    place: 'Season',
  },
  {
    what: 'Count what I picked',
    how: 'By weight, by number, or both; several bags in a row, or one bowl split over them.',
    to: '/tally',
    place: 'Tally',
  },
  {
    what: 'Know what is coming',
    how: 'Ripe dates, this week, the rest of the season.',
    to: '/tally/coming',
    place: 'Coming',
  },
  {
    what: 'Try one way against another',
    how: 'Dealt by lot, and told with its doubt.',
    to: '/tally/trials',
    place: 'Trials',
  },
  {
    what: 'Ripen and keep fruit indoors',
    how: 'Lots, and when to look through them.',
    to: '/tally/shelf',
    place: 'Shelf',
  },
  {
    what: 'Look back on a season',
    how: 'One page to print; next season begins from it.',
    to: '/tally/review',
    place: 'Review',
  },
  {
    what: 'Keep it safe, or take it to another device',
    how: 'One file holds everything.',
    to: '/files',
    place: 'Files',
  },
  {
    what: 'Change units, place or theme',
    how: 'Name a town, choose gallons or litres, dusk or glare.',
    to: '/settings',
    place: 'Settings',
  },
];

/** Help by task, how things are worked out, and the keys. */
export default function HelpPage() {
  return (
    <Page title="Help and keys" width={820}>
      <Panel title="What do you want to do?">
        <Box component="dl" sx={{ margin: 0, display: 'grid', gap: 1.25 }}>
          {TASKS.map(({ what, how, to, place }) => (
            <div key={what}>
              <Box component="dt" sx={{ fontWeight: 700 }}>
                {what}
              </Box>
              <Box component="dd" sx={{ margin: 0 }}>
                {how}{' '}
                <Link to={to} style={{ color: 'inherit' }}>
                  {place}
                </Link>
              </Box>
            </div>
          ))}
        </Box>
      </Panel>
      <Panel title="How it comes to what it says">
        <Typography>
          Each check teaches it that bag’s own thirst, so it asks less often. In a drawing the hatched band is
          doubt and the white line the best guess. Amounts can be typed in any unit: "10 gal", "13½ in", "half
          a can", "450 g". Anything recorded can be corrected, removed and brought back.
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
          labels, local rules and qualified people come first.{' '}
          <Link to="/help/dangers" style={{ color: 'inherit' }}>
            All dangers on one page
          </Link>
        </Typography>
      </Panel>
    </Page>
  );
}
