import { Box, ButtonBase } from '@mui/material';
import { memo, useId } from 'react';
import { NavLink } from 'react-router';
import { PAGE_WIDTH } from '../ui/Page.tsx';

const NAV_ITEMS = [
  { path: '/round', name: 'Round' },
  { path: '/bags', name: 'Bags' },
  { path: '/season', name: 'Season' },
  { path: '/bench', name: 'Bench' },
  { path: '/tally', name: 'Tally' },
] as const;

/** How much of the screen's foot the strip takes, in pixels: what ends there ends above it. */
export const LABELS_HIGH = 60;
/** How far the mix reaches up, in pixels. */
const MIX_HIGH = 14;

/** A label's outline: a flat head with its corners off, and a point that goes into the mix. */
const LABEL_SHAPE =
  'polygon(4px 0, calc(100% - 4px) 0, 100% 4px, 100% 54%, 58% 100%, 42% 100%, 0 54%, 0 4px)';

/** Where the flecks of the mix lie in a piece of it that repeats: x, y and radius. */
const FLECKS = [
  [4, 5, 1.1],
  [13, 12, 1.6],
  [23, 4, 0.9],
  [31, 9, 1.3],
  [40, 14, 0.8],
  [49, 6, 1.5],
  [58, 11, 1],
  [66, 3, 1.2],
  [74, 13, 1.4],
] as const;

/**
 * The five places, each on a plant label that is pushed into a strip of mix; the one where one is stands higher, in flower
 * yellow. Which that is changes with the address alone: what is entered in a garden does not draw them anew.
 */
export const Labels = memo(function Labels() {
  return (
    <Box
      component="nav"
      aria-label="Pages"
      sx={{
        position: 'fixed',
        zIndex: 1100,
        bottom: 0,
        insetInline: 0,
        height: `calc(${LABELS_HIGH}px + env(safe-area-inset-bottom))`,
        paddingInline: { xs: 0.5, md: 3 },
        backgroundColor: 'var(--ground)',
        borderBlockStart: '1px solid var(--line)',
      }}
    >
      <Box
        sx={{
          display: { xs: 'grid', md: 'flex' },
          gridTemplateColumns: 'repeat(5, minmax(0, 1fr))',
          gap: { xs: '3px', md: 1.5 },
          maxWidth: { md: PAGE_WIDTH - 48 },
          marginInline: 'auto',
        }}
      >
        {NAV_ITEMS.map(({ path, name }) => (
          <ButtonBase
            key={path}
            component={NavLink}
            to={path}
            sx={{
              height: 56,
              width: { md: 84, lg: 104 },
              marginBlockStart: '3px',
              display: 'block',
              '& > span': {
                display: 'block',
                height: '100%',
                padding: '1.5px',
                backgroundColor: 'var(--ink)',
                clipPath: LABEL_SHAPE,
                transform: 'translateY(4px)',
              },
              '& > span > span': {
                display: 'block',
                height: '100%',
                paddingBlockStart: '5px',
                textAlign: 'center',
                fontFamily: 'h1.fontFamily',
                fontWeight: 650,
                fontSize: { xs: '0.92rem', sm: '1.02rem' },
                lineHeight: 1.3,
                backgroundColor: 'var(--label)',
                color: 'var(--on-label)',
                clipPath: LABEL_SHAPE,
              },
              '&:hover > span > span': { textDecoration: 'underline' },
              '&.active > span': { transform: 'none' },
              '&.active > span > span': {
                backgroundColor: 'var(--flower)',
                color: 'var(--on-flower)',
              },
              '&:focus-visible': { outlineOffset: -2, zIndex: 2 },
            }}
          >
            <span>
              <span>{name}</span>
            </span>
          </ButtonBase>
        ))}
      </Box>
      <Mix />
    </Box>
  );
});

/** The mix, in front of the labels' points. */
function Mix() {
  const id = useId();
  return (
    <Box
      component="svg"
      aria-hidden
      sx={{
        position: 'absolute',
        insetInlineStart: 0,
        bottom: 0,
        width: '100%',
        height: `calc(${MIX_HIGH}px + env(safe-area-inset-bottom))`,
        pointerEvents: 'none',
      }}
    >
      <defs>
        <pattern id={id} width="80" height={MIX_HIGH} patternUnits="userSpaceOnUse">
          <rect width="80" height={MIX_HIGH} fill="var(--soil)" />
          {FLECKS.map(([x, y, r]) => (
            <circle key={x} cx={x} cy={y} r={r} fill="var(--soil-fleck)" />
          ))}
        </pattern>
      </defs>
      <rect width="100%" height="100%" fill={`url(#${id})`} />
    </Box>
  );
}
