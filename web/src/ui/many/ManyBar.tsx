import { Box, Button, Menu, MenuItem } from '@mui/material';
import { lazy, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import { bagListWords } from '../../text/bag-text.ts';
import { useBags, type Bag } from '../../store/index.ts';
import type { NewEntryKind } from '../entries/EntryDialog.tsx';

const EntryDialog = lazy(() =>
  import('../entries/EntryDialog.tsx').then((module) => ({ default: module.EntryDialog })),
);
const FeedDialog = lazy(() => import('../FeedDialog.tsx'));
const SprayDialog = lazy(() => import('../care/SprayDialog.tsx'));
const CleanDialog = lazy(() => import('../care/CleanDialog.tsx'));
const ManyDialogs = lazy(() => import('./ManyDialogs.tsx'));

/** What can be done with several bags at once. */
const ACTIONS = {
  watering: 'Water',
  fed: 'Feed',
  note: 'Note',
  picking: 'Pick',
  stage: 'A stage seen',
  tended: 'Work done',
  trouble: 'Trouble',
  spray: 'Spray or bait',
  clean: 'Clean',
  plant: 'Plant',
  plan: 'Plan',
  fill: 'Fill',
  change: 'Move or change',
  correct: 'Put entries right',
  relabel: 'New numbers',
  clear: 'Clear out',
} as const;

type Action = keyof typeof ACTIONS;
export type ManyAction = Extract<Action, 'plant' | 'plan' | 'change' | 'correct' | 'relabel' | 'clear'>;

const FIRST: readonly Action[] = ['watering', 'fed', 'note'];
const REST = (Object.keys(ACTIONS) as Action[]).filter((action) => !FIRST.includes(action));
const ENTRIES: readonly Action[] = ['watering', 'note', 'picking', 'stage', 'tended', 'trouble'];

const isEntry = (action: Action | undefined): action is NewEntryKind =>
  action !== undefined && ENTRIES.includes(action);

/** What is done with the ticked bags: one dialog for all of them, one step to undo. */
export function ManyBar({ bags, onUntick }: { readonly bags: readonly Bag[]; onUntick(): void }) {
  const { bags: all } = useBags();
  const navigate = useNavigate();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [action, setAction] = useState<Action>();
  const [first, ...others] = bags;
  if (!first) return null;
  const take = (next: Action) => {
    setAnchor(null);
    if (next === 'fill') void navigate(`/bench/fill?bags=${bags.map((b) => b.container.id).join(',')}`);
    else setAction(next);
  };
  const close = () => setAction(undefined);
  const done = () => {
    close();
    onUntick();
  };
  return (
    <Box
      role="region"
      aria-label="With the ticked bags"
      sx={{
        position: 'sticky',
        bottom: 'calc(68px + env(safe-area-inset-bottom))',
        zIndex: 5,
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        padding: 1,
        paddingInlineStart: 2,
        marginBlockStart: 1,
        backgroundColor: 'var(--surface)',
        border: '2px solid var(--action)',
        borderRadius: '12px',
      }}
    >
      <Box component="strong" aria-live="polite" sx={{ marginInlineEnd: 'auto' }}>
        {bagListWords(bags, all)}
      </Box>
      {FIRST.map((each) => (
        <Button key={each} variant="outlined" onClick={() => take(each)}>
          {ACTIONS[each]}
        </Button>
      ))}
      <Button variant="contained" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        More
      </Button>
      <Button onClick={onUntick}>Untick</Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {REST.map((each) => (
          <MenuItem key={each} onClick={() => take(each)}>
            {ACTIONS[each]}
          </MenuItem>
        ))}
      </Menu>
      <Suspense>
        {isEntry(action) ? (
          <EntryDialog bags={bags} kind={action} onClose={close} onDone={done} />
        ) : action === 'fed' ? (
          <FeedDialog bags={[first, ...others]} onClose={close} onDone={done} />
        ) : action === 'spray' ? (
          <SprayDialog bags={bags} onClose={close} onDone={done} />
        ) : action === 'clean' ? (
          <CleanDialog bags={bags} onClose={close} onDone={done} />
        ) : action && action !== 'fill' ? (
          <ManyDialogs action={action} bags={[first, ...others]} onClose={close} onDone={done} />
        ) : null}
      </Suspense>
    </Box>
  );
}
