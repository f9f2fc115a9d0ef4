import { Button, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { seenStore } from '../parts/bag-words.ts';
import type { Bag } from '../store/index.ts';
import type { GradedWay } from './GradeButtons.tsx';

/** Every way of looking: those with grades, and those that take a number or none. */
export type Way = GradedWay | 'wilted' | 'scale' | 'probe';

const WAYS: readonly { readonly way: Way; readonly words: string }[] = [
  { way: 'finger', words: 'By finger' },
  { way: 'lift', words: 'By lifting it' },
  { way: 'level', words: 'By the level of its store' },
  { way: 'scale', words: 'On a scale…' },
  { way: 'probe', words: 'With a probe…' },
  { way: 'wilted', words: 'It hangs its leaves' },
];

const hasSeenStore = (bag: Bag) => seenStore(bag.water) !== undefined;

/**
 * How a bag is looked at unless the grower chooses otherwise: one with a reservoir or a channel by its level once its roots
 * are down, all others by finger.
 */
export function usualWay(bag: Bag): GradedWay {
  const age = bag.water?.daysSincePlanting ?? 0;
  return hasSeenStore(bag) && age >= bag.body.assumed.establishingDays ? 'level' : 'finger';
}

/** Another way of looking than the one on the buttons. */
export function WayButton({
  bag,
  way,
  onWay,
}: {
  readonly bag: Bag;
  readonly way: GradedWay;
  onWay(way: Way): void;
}) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const ways = WAYS.filter((w) => w.way !== way && (w.way !== 'level' || hasSeenStore(bag)));
  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minHeight: 56, lineHeight: 1.2 }}
      >
        Other look
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {ways.map((w) => (
          <MenuItem
            key={w.way}
            sx={{ minHeight: 48 }}
            onClick={() => {
              setAnchor(null);
              onWay(w.way);
            }}
          >
            {w.words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
