import { Box, Typography } from '@mui/material';
import { useEffect, type ReactNode } from 'react';

/** How wide a page is at most, in pixels: the labels at its foot begin where it begins. */
export const PAGE_WIDTH = 1352;

/** The frame of a place: its title, a line under it, and what can be done there. */
export function Page({
  title,
  lead,
  actions,
  nav,
  children,
  width = PAGE_WIDTH,
}: {
  readonly title: string;
  readonly lead?: ReactNode;
  readonly actions?: ReactNode;
  /** ways to the page's neighbours, between its title and what it says */
  readonly nav?: ReactNode;
  readonly children: ReactNode;
  readonly width?: number;
}) {
  useEffect(() => {
    document.title = `${title} · Rundel`;
  }, [title]);
  return (
    <Box
      data-page
      sx={{
        maxWidth: { xs: width, md: PAGE_WIDTH },
        marginInline: 'auto',
        paddingInline: { xs: 2, md: 3 },
        paddingBlock: { xs: 0.5, md: 2 },
        '& > *': { maxWidth: width },
      }}
    >
      <Box
        data-page-head
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: { xs: 1, md: 2 },
          alignItems: 'flex-start',
          justifyContent: 'space-between',
          marginBlockEnd: { xs: 1.25, md: 2 },
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <Typography variant="h1" sx={{ fontSize: { xs: '1.45rem', md: '1.9rem' } }}>
            {title}
          </Typography>
          {lead !== undefined && (
            <Typography component="div" sx={{ color: 'text.secondary', marginBlockStart: 0.5 }}>
              {lead}
            </Typography>
          )}
        </Box>
        {actions !== undefined && <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>{actions}</Box>}
      </Box>
      {nav !== undefined && (
        <Box data-page-head sx={{ marginBlockEnd: 1.5 }}>
          {nav}
        </Box>
      )}
      {children}
    </Box>
  );
}

/** A bordered part of a page with a heading. */
export function Panel({
  title,
  children,
  id,
}: {
  readonly title?: string;
  readonly children: ReactNode;
  readonly id?: string;
}) {
  return (
    <Box
      component="section"
      id={id}
      aria-label={title}
      sx={{
        backgroundColor: 'var(--surface)',
        border: '1px solid var(--line)',
        borderRadius: '12px',
        padding: { xs: 2, md: 2.5 },
        marginBlockEnd: 2,
      }}
    >
      {title !== undefined && (
        <Typography variant="h2" sx={{ marginBlockEnd: 1.5 }}>
          {title}
        </Typography>
      )}
      {children}
    </Box>
  );
}
