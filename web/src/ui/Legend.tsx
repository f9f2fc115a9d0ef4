import { Box } from '@mui/material';
import type { ReactNode } from 'react';

/** What the marks of a picture mean, a word for each, in view of the picture. */
export function Legend({
  items,
}: {
  readonly items: readonly { readonly mark: ReactNode; readonly words: string }[];
}) {
  return (
    <Box
      component="ul"
      aria-label="What the marks mean"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 1.75,
        rowGap: 0.25,
        margin: 0,
        padding: 0,
        listStyle: 'none',
        fontSize: '0.85rem',
      }}
    >
      {items.map(({ mark, words }) => (
        <Box component="li" key={words} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <span aria-hidden style={{ display: 'inline-flex' }}>
            {mark}
          </span>
          {words}
        </Box>
      ))}
    </Box>
  );
}
