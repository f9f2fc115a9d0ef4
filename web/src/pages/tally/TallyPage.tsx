import { Box, Button, MenuItem, TextField } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import { Link, useParams } from 'react-router';
import { EntryDialog } from '../../ui/entries/EntryDialog.tsx';
import { Page } from '../../ui/Page.tsx';
import { titleOf } from '../../text/bag-text.ts';
import { useBags, type Bag } from '../../store/index.ts';

const WeighInRow = lazy(() => import('./WeighInRow.tsx'));
const Yields = lazy(() => import('./yields/Yields.tsx'));
const Coming = lazy(() => import('./Coming.tsx'));
const Trials = lazy(() => import('./trials/Trials.tsx'));
const Shelf = lazy(() => import('./shelf/Shelf.tsx'));
const Worth = lazy(() => import('./Worth.tsx'));
const Review = lazy(() => import('./review/Review.tsx'));

/** The topics of Tally, by their address. */
const TOPICS = [
  { id: undefined, name: 'Yields', lead: 'What each bag and plant gave.', Topic: Yields },
  { id: 'coming', name: 'Coming', lead: 'What ripens when, and what is still to come.', Topic: Coming },
  { id: 'trials', name: 'Trials', lead: 'Did it really do better, or was it luck?', Topic: Trials },
  { id: 'shelf', name: 'Shelf', lead: 'What ripens and keeps indoors.', Topic: Shelf },
  { id: 'worth', name: 'Worth it', lead: 'What it cost, took and was worth.', Topic: Worth },
  { id: 'review', name: 'Review', lead: 'The season on one page.', Topic: Review },
] as const;

/** What was picked, what is coming, and what that says. */
export default function TallyPage() {
  const { topicId } = useParams();
  const topic = TOPICS.find((t) => t.id === topicId) ?? TOPICS[0];
  return (
    <Page
      title={topic.id === undefined ? 'Tally' : topic.name}
      lead={topic.lead}
      actions={topic.id === undefined || topic.id === 'shelf' ? <PickingActions /> : undefined}
      nav={
        <Box
          component="nav"
          aria-label="Tally"
          sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', '@media print': { display: 'none' } }}
        >
          {TOPICS.map((each) => (
            <Button
              key={each.name}
              component={Link}
              to={each.id ? `/tally/${each.id}` : '/tally'}
              variant={each === topic ? 'contained' : 'outlined'}
              aria-current={each === topic ? 'page' : undefined}
            >
              {each.name}
            </Button>
          ))}
        </Box>
      }
    >
      <Suspense fallback={<Box aria-busy sx={{ minHeight: 300 }} />}>
        <topic.Topic />
      </Suspense>
    </Page>
  );
}

/** A picking from any bag, or from several one after another at the scale. */
function PickingActions() {
  const { bags } = useBags();
  const [picking, setPicking] = useState<Bag>();
  const [isInRow, setInRow] = useState(false);
  const standing = bags.filter((b) => b.occupants.length > 0);
  if (bags.length === 0) return null;
  return (
    <>
      {standing.length > 1 && (
        <Button variant="outlined" onClick={() => setInRow(true)} sx={{ alignSelf: 'center' }}>
          Weigh several in a row
        </Button>
      )}
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
      <Suspense>{isInRow && <WeighInRow bags={standing} onClose={() => setInRow(false)} />}</Suspense>
      {picking && <EntryDialog kind="picking" bags={[picking]} onClose={() => setPicking(undefined)} />}
    </>
  );
}
