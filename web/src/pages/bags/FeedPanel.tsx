import { Box, Button, Typography } from '@mui/material';
import { dayOf } from '@rundel/core/calendar';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { baseWords, ledgerSentence, stateSentence } from '../../text/feed-text.ts';
import { Panel } from '../../ui/Page.tsx';
import { useBagStates, useGarden, useLedger, type Bag } from '../../store/index.ts';

const FeedDialog = lazy(() => import('../../ui/FeedDialog.tsx'));
const LedgerChart = lazy(() => import('./LedgerChart.tsx'));
const SolutionPart = lazy(() => import('./SolutionPart.tsx'));

/** A bag's feed: what the ledger says in one sentence, what its regime asks for, and the ledger itself. */
export function FeedPanel({ bag }: { readonly bag: Bag }) {
  const { clock, garden } = useGarden();
  const { isReady } = useBagStates();
  const [isFeeding, setFeeding] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const { feeding } = bag;
  const ledger = useLedger(bag.container.id);
  const today = dayOf(clock.now());
  if (!feeding) {
    return (
      <Panel title="Feed">
        <Typography
          role="status"
          sx={{ color: 'text.secondary', minHeight: isReady ? 0 : { xs: 360, lg: 250 } }}
        >
          {isReady ? 'Its feed cannot be worked out.' : 'Working it out…'}
        </Typography>
      </Panel>
    );
  }
  const { regime, states, unknownFeeds, isRegimeGone } = feeding;
  return (
    <Panel title="Feed">
      <Typography sx={{ fontSize: '1.1rem', marginBlockEnd: 1 }}>
        {ledger ? ledgerSentence(ledger.verdicts, regime !== undefined) : 'Working out what it has…'}
      </Typography>
      <Typography sx={{ marginBlockEnd: 1 }}>What its mix brought {baseWords(feeding)}.</Typography>
      {states.length > 0 && (
        <Box component="ul" sx={{ paddingInlineStart: 2.5, marginBlock: 1 }}>
          {states.map((state) => (
            <li key={state.step.id}>{stateSentence(state, today, garden.products)}</li>
          ))}
        </Box>
      )}
      <Typography sx={{ marginBlockEnd: 1.5 }}>
        {regime ? (
          <>
            It is fed by <strong>{regime.name}</strong>. {regime.description}{' '}
          </>
        ) : isRegimeGone ? (
          'The regime that it was fed by is no longer in your list; what was given stands in the diary. '
        ) : (
          'It is fed by no regime. '
        )}
        <Link to={`/bench/regimes?bags=${bag.container.id}`} style={{ color: 'inherit' }}>
          {regime ? 'Choose another' : 'Choose a regime'}
        </Link>
      </Typography>
      {unknownFeeds > 0 && (
        <Typography sx={{ marginBlockEnd: 1, color: 'text.secondary' }}>
          {unknownFeeds === 1 ? 'One feed is' : `${unknownFeeds} feeds are`} of unknown strength (tea, or a
          product without label or density) and not counted: it may have more than I say.
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" onClick={() => setFeeding(true)}>
          Feed it now
        </Button>
        <Button onClick={() => setOpen(!isOpen)} aria-expanded={isOpen}>
          {isOpen ? 'Hide its ledger' : 'Its ledger, day by day'}
        </Button>
      </Box>
      {isOpen && (
        <Suspense fallback={<Box sx={{ minHeight: 380 }} />}>
          <LedgerChart ledger={ledger} label={bag.container.label} />
        </Suspense>
      )}
      <Suspense>
        <SolutionPart bag={bag} />
      </Suspense>
      {isFeeding && (
        <Suspense>
          <FeedDialog
            bags={[bag]}
            productId={regime?.steps[0]?.productId}
            into={regime?.steps[0]?.into}
            onClose={() => setFeeding(false)}
          />
        </Suspense>
      )}
    </Panel>
  );
}
