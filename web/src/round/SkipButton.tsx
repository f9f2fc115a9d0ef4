import { Button, Menu, MenuItem, type SxProps } from '@mui/material';
import { SKIP_REASONS } from '@rundel/core/diary';
import { useState } from 'react';
import { SKIP_WORDS } from '../parts/water-words.ts';

export type SkipReason = (typeof SKIP_REASONS)[number];

/** Leaves a bag for later, with the reason in one more tap. */
export function SkipButton({ onSkip, sx }: { onSkip(reason: SkipReason): void; readonly sx?: SxProps }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (reason: SkipReason) => {
    setAnchor(null);
    onSkip(reason);
  };
  return (
    <>
      <Button
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        {...(sx ? { sx } : {})}
      >
        Not now
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {SKIP_REASONS.map((reason) => (
          <MenuItem key={reason} onClick={() => choose(reason)} sx={{ minHeight: 48 }}>
            {SKIP_WORDS[reason]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
