import { Box, Button, ButtonBase } from '@mui/material';
import {
  IconCalendarWeek,
  IconChevronDown,
  IconHammer,
  IconHomeShare,
  IconShoe,
  IconTallymarks,
} from '@tabler/icons-react';
import { dayOf, addDays, momentAt } from '@rundel/core/calendar';
import { lazy, memo, Suspense, useEffect, useState, type ReactNode } from 'react';
import { NavLink, useNavigate } from 'react-router';
import { OnceButton } from '../ui/OnceButton.tsx';
import { useGarden, type GardenId } from '../store/index.ts';

const GardenMenuItems = lazy(() => import('./GardenMenuItems.tsx'));

const ROUTES = [
  { path: '/round', name: 'Round', Icon: IconShoe },
  { path: '/bags', name: 'Bags', Icon: IconHomeShare },
  { path: '/season', name: 'Season', Icon: IconCalendarWeek },
  { path: '/bench', name: 'Bench', Icon: IconHammer },
  { path: '/tally', name: 'Tally', Icon: IconTallymarks },
] as const;

/** The five places down the side (or along the foot of a phone), and everything else under the garden's name. */
export function Shell({
  gardenId,
  onChange,
  children,
}: {
  readonly gardenId: GardenId;
  onChange(next: GardenId): void;
  readonly children: ReactNode;
}) {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isTyping = (event.target as HTMLElement).closest('input, textarea, select, [contenteditable]');
      if (event.key !== '?' || isTyping || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      void navigate('/help');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate]);
  return (
    <Box
      sx={{
        minHeight: '100dvh',
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '96px minmax(0, 1fr)' },
        gridTemplateRows: { xs: 'auto 1fr', md: '1fr' },
        '@media print': { display: 'block' },
      }}
    >
      <Box
        component="a"
        href="#main"
        sx={{
          position: 'absolute',
          insetInlineStart: -9999,
          '&:focus': {
            insetInlineStart: 8,
            top: 8,
            zIndex: 2000,
            backgroundColor: 'var(--flower)',
            color: 'var(--on-flower)',
            padding: 1.5,
          },
        }}
      >
        To the content
      </Box>
      <Box
        component="header"
        sx={{
          backgroundColor: 'var(--rail)',
          color: 'var(--on-rail)',
          position: { md: 'sticky' },
          top: 0,
          height: { md: '100dvh' },
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column' },
          alignItems: 'center',
          justifyContent: { xs: 'space-between', md: 'flex-start' },
          paddingInline: { xs: 1.5, md: 0 },
          minHeight: 48,
          '@media print': { display: 'none' },
        }}
      >
        <GardenMenu gardenId={gardenId} onChange={onChange} />
        <Places />
      </Box>
      <Box
        component="main"
        id="main"
        tabIndex={-1}
        sx={{ minWidth: 0, paddingBlockEnd: { xs: '76px', md: 2 }, outline: 'none' }}
      >
        {gardenId === 'demo' && <DemoRibbon onLeave={() => onChange('own')} />}
        {children}
      </Box>
    </Box>
  );
}

/** Which place one is at changes with the address alone: what is entered in a garden does not draw them anew. */
const Places = memo(function Places() {
  return (
    <Box
      component="nav"
      aria-label="Places"
      sx={{
        position: { xs: 'fixed', md: 'static' },
        zIndex: 1100,
        bottom: 0,
        insetInline: 0,
        backgroundColor: 'var(--rail)',
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        width: { md: '100%' },
        marginBlockStart: { md: 1 },
        paddingBlockEnd: { xs: 'env(safe-area-inset-bottom)', md: 0 },
      }}
    >
      {ROUTES.map(({ path, name, Icon }) => (
        <ButtonBase
          key={path}
          component={NavLink}
          to={path}
          sx={{
            flex: { xs: 1, md: 'none' },
            minHeight: { xs: 60, md: 74 },
            display: 'grid',
            placeItems: 'center',
            alignContent: 'center',
            gap: '3px',
            fontSize: '0.85rem',
            color: 'inherit',
            marginInlineStart: { md: 1.25 },
            borderRadius: { xs: '12px 12px 0 0', md: '12px 0 0 12px' },
            '&.active': { backgroundColor: 'var(--ground)', color: 'var(--ink)', fontWeight: 700 },
            '&:focus-visible': { outlineColor: 'var(--flower)', outlineOffset: -4 },
          }}
        >
          <Icon size={28} stroke={1.8} aria-hidden />
          {name}
        </ButtonBase>
      ))}
    </Box>
  );
});

function GardenMenu({ gardenId, onChange }: { readonly gardenId: GardenId; onChange(next: GardenId): void }) {
  const { garden } = useGarden();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        sx={{
          display: 'flex',
          flexDirection: { xs: 'row', md: 'column' },
          gap: { xs: 1.25, md: 0 },
          minHeight: 48,
          paddingInline: 0.5,
          paddingBlockStart: { md: 1.5 },
          width: { md: '100%' },
          '&:focus-visible': { outlineColor: 'var(--flower)', outlineOffset: -4 },
        }}
      >
        <Box sx={{ fontFamily: 'h1.fontFamily', fontWeight: 750, fontSize: '1.35rem', lineHeight: 1 }}>
          Rundel
        </Box>
        <Box
          sx={{
            fontSize: '0.78rem',
            display: 'flex',
            alignItems: 'center',
            gap: '2px',
            maxWidth: { xs: 220, md: 90 },
            textAlign: 'center',
            lineHeight: 1.15,
            marginBlockStart: '3px',
          }}
        >
          {garden.settings.gardenName}
          <IconChevronDown size={14} aria-hidden style={{ flexShrink: 0 }} />
        </Box>
      </ButtonBase>
      {anchor && (
        <Suspense>
          <GardenMenuItems
            anchor={anchor}
            gardenId={gardenId}
            onChange={onChange}
            onClose={() => setAnchor(null)}
          />
        </Suspense>
      )}
    </>
  );
}

/** The demo says that it is one, and lets its clock be moved on. */
function DemoRibbon({ onLeave }: { onLeave(): void }) {
  const { clock, moveDemoTo } = useGarden();
  const toMorning = () => {
    const now = clock.now();
    const hour = Number(now.slice(11, 13));
    return moveDemoTo(
      hour < 8
        ? momentAt(dayOf(now), 8, now)
        : hour < 17
          ? momentAt(dayOf(now), 18, now)
          : momentAt(addDays(dayOf(now), 1), 8, now),
    );
  };
  const isEvening = Number(clock.now().slice(11, 13)) >= 17;
  return (
    <Box
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 2,
        paddingInline: { xs: 2, md: 3 },
        backgroundColor: 'var(--flower)',
        color: 'var(--on-flower)',
        fontSize: '0.88rem',
        '@media print': { display: 'none' },
      }}
    >
      <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
        This is the demo: a made-up yard, and its clock stands in July.
      </Box>
      <Box component="span" sx={{ display: { xs: 'inline', sm: 'none' } }}>
        Demo
      </Box>
      <OnceButton
        onPress={() => toMorning()}
        sx={{ color: 'inherit', minHeight: 40, textDecoration: 'underline', padding: 0, fontSize: 'inherit' }}
      >
        {isEvening ? 'To the next morning' : 'To the evening'}
      </OnceButton>
      <Button
        onClick={onLeave}
        sx={{ color: 'inherit', minHeight: 40, textDecoration: 'underline', padding: 0, fontSize: 'inherit' }}
      >
        My own bags
      </Button>
    </Box>
  );
}
