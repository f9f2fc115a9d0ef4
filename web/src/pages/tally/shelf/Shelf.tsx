import { Box, Button, Skeleton, Typography } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { dayOf } from '@rundel/core/calendar';
import { isGone, type ShelfLot } from '@rundel/core/pickings';
import { lazy, Suspense, useState } from 'react';
import { entryWords } from '../../../text/entry-text.ts';
import { leftWords, lotAdvice, lotName, lotSentence } from '../../../text/shelf-text.ts';
import { shortDay } from '../../../text/text.ts';
import { CautionOf } from '../../../ui/CautionOf.tsx';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { Panel } from '../../../ui/Page.tsx';
import { told, useGarden, useUnitFormat } from '../../../store/index.ts';
import { Figure } from '../Figure.tsx';
import { useTally } from '../../../store/tally.ts';

const LookThrough = lazy(() => import('./LookThrough.tsx'));
const LotDialog = lazy(() => import('./LotDialog.tsx'));
const CorrectDialog = lazy(() =>
  import('../../../ui/entries/CorrectDialog.tsx').then((module) => ({ default: module.CorrectDialog })),
);

/** What lies indoors: when it is ripe, what is to be looked through, how long the keepers last. */
export default function Shelf() {
  const { clock } = useGarden();
  const today = dayOf(clock.now());
  const { data } = useTally(['shelf'], (api, day) => api.shelf(day));
  const [isAdding, setAdding] = useState(false);
  if (!data) return <Skeleton variant="rectangular" height={300} aria-busy />;
  const there = data.filter((lot) => !isGone(lot));
  const gone = data.filter(isGone);
  const count = there.reduce((sum, lot) => sum + lot.left, 0);
  const isUncounted = there.some((lot) => lot.isUncounted);
  const due = there.filter((lot) => lot.lookOn <= today);
  return (
    <>
      <Panel {...(there.length === 0 ? { title: 'Nothing on the shelf' } : {})}>
        {there.length === 0 ? (
          <Typography>
            Picked green or at first blush, tomatoes ripen indoors: at a picking, say that it is stored, and
            it lies here. Before the first frost, bring in all the green ones.
          </Typography>
        ) : (
          <Typography sx={{ fontSize: '1.15rem' }}>
            {count > 0 && <Figure testId="on-shelf">{count}</Figure>}
            {!isUncounted
              ? 'fruit'
              : count > 0
                ? 'fruit, and some that nobody counted,'
                : 'Some fruit that nobody counted is'}{' '}
            on the shelf, in {there.length === 1 ? 'one lot' : `${there.length} lots`}.{' '}
            {due.length > 0
              ? `Look through ${due.length === 1 ? 'one of them' : `${due.length} of them`} today: one that rots spoils its neighbours.`
              : `Nothing to look through before ${shortDay(there.map((l) => l.lookOn).sort()[0] ?? today, today)}.`}
          </Typography>
        )}
        <Box sx={{ display: 'flex', gap: 1, marginBlockStart: 1.5, flexWrap: 'wrap' }}>
          <Button variant="outlined" onClick={() => setAdding(true)}>
            Put something on the shelf
          </Button>
        </Box>
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          In one layer, not touching, out of the sun: a sunny sill makes them tough and patchy, and a fridge
          ends their ripening.
        </Typography>
        <CautionOf id="stored-fruit" />
      </Panel>
      {there.map((lot) => (
        <Lot key={lot.id} lot={lot} />
      ))}
      {gone.length > 0 && (
        <Panel title="Gone">
          <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
            {gone.map((lot) => (
              <GoneLot key={lot.id} lot={lot} />
            ))}
          </Box>
        </Panel>
      )}
      <Suspense>{isAdding && <LotDialog lot={undefined} onClose={() => setAdding(false)} />}</Suspense>
    </>
  );
}

function GoneLot({ lot }: { readonly lot: ShelfLot }) {
  const { garden, clock } = useGarden();
  const today = dayOf(clock.now());
  return (
    <li>
      {lotName(lot, garden.varieties, today)}: {keptWords(lot)}, the last on{' '}
      {shortDay(lot.lastLookedOn, today)}. <LotDiary lot={lot} />
    </li>
  );
}

/** "of 30, 24 eaten and 6 thrown out" */
function keptWords(lot: ShelfLot): string {
  const parts = [
    lot.eaten > 0 ? `${lot.eaten} eaten` : '',
    lot.given > 0 ? `${lot.given} given` : '',
    lot.sold > 0 ? `${lot.sold} sold` : '',
    lot.lost > 0 ? `${lot.lost} thrown out` : '',
  ].filter(Boolean);
  const put = lot.isUncounted ? 'what was put by' : String(lot.put);
  return parts.length === 0
    ? `all of ${put} ${lot.isUncounted ? 'is' : 'are'} there`
    : `of ${put}, ${parts.join(', ')}`;
}

function Lot({ lot }: { readonly lot: ShelfLot }) {
  const { garden, clock } = useGarden();
  const unitFormat = useUnitFormat();
  const [open, setOpen] = useState<'look' | 'change'>();
  const today = dayOf(clock.now());
  const assumed = resolveAssumed(garden.settings.assumptions);
  const isDue = lot.lookOn <= today;
  const advice = lotAdvice(lot, unitFormat, assumed);
  return (
    <Panel title={lotName(lot, garden.varieties, today)}>
      <Typography sx={{ fontSize: '1.05rem' }}>
        <strong>{leftWords(lot)}.</strong> {lotSentence(lot, today, assumed)}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        Since {shortDay(lot.since, today)}
        {lot.celsius === undefined ? '' : `, at ${unitFormat.show(lot.celsius, 'temperature')}`}
        {lot.isWithFruit ? ', with ripe fruit' : ''}; {keptWords(lot)}
        {lot.ripe ? `; ${lot.ripe} had coloured` : ''}.{' '}
        {isDue ? 'Look through it now' : `Look through it on ${shortDay(lot.lookOn, today)}`}.
      </Typography>
      {advice && <Typography sx={{ marginBlockStart: 0.5 }}>{advice}</Typography>}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockStart: 1.5 }}>
        <Button variant={isDue ? 'contained' : 'outlined'} onClick={() => setOpen('look')}>
          Look through
        </Button>
        <Button onClick={() => setOpen('change')}>Move, name, keep</Button>
      </Box>
      <LotDiary lot={lot} />
      <Suspense>
        {open === 'look' && <LookThrough lot={lot} onClose={() => setOpen(undefined)} />}
        {open === 'change' && <LotDialog lot={lot} onClose={() => setOpen(undefined)} />}
      </Suspense>
    </Panel>
  );
}

/** What was put down of a lot; each can be corrected or deleted. */
function LotDiary({ lot }: { readonly lot: ShelfLot }) {
  const { garden, clock, remove } = useGarden();
  const unitFormat = useUnitFormat();
  const [correcting, setCorrecting] = useState<ShelfLot['entries'][number]>();
  if (lot.entries.length === 0) return null;
  const today = dayOf(clock.now());
  return (
    <HowCalculated label={`What was put down: ${lot.entries.length}`}>
      <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2 }}>
        {lot.entries.map((entry) => (
          <li key={entry.id}>
            {shortDay(dayOf(entry.at), today)}: {entryWords(entry, unitFormat, garden)}{' '}
            <Button size="small" onClick={() => setCorrecting(entry)}>
              Correct
            </Button>
            <Button size="small" onClick={() => told(remove([entry.id], 'an entry of the shelf'))}>
              Delete
            </Button>
          </li>
        ))}
      </Box>
      <Suspense>
        {correcting && <CorrectDialog entry={correcting} onClose={() => setCorrecting(undefined)} />}
      </Suspense>
    </HowCalculated>
  );
}
