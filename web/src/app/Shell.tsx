import { Box } from '@mui/material';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { GardenId } from '../store/index.ts';
import { BroughtBack } from './BroughtBack.tsx';
import { ClockNotice } from './ClockNotice.tsx';
import { GardenLine } from './GardenLine.tsx';
import { Labels, LABELS_HIGH } from './Labels.tsx';

const CommandBox = lazy(() => import('./command/CommandBox.tsx'));

/** The five places on labels in a strip of mix along the foot; which garden it is beside them, on a phone at the head. */
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
  const [isAsking, setAsking] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setAsking((asking) => !asking);
        return;
      }
      const isTyping = (event.target as HTMLElement).closest('input, textarea, select, [contenteditable]');
      if (isTyping || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key !== '?' && event.key !== '/') return;
      event.preventDefault();
      if (event.key === '/') setAsking(true);
      else void navigate('/help');
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [navigate]);
  return (
    <>
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
      <Box component="header" sx={{ '@media print': { display: 'none' } }}>
        <Labels />
        <GardenLine gardenId={gardenId} onChange={onChange} onAsk={() => setAsking(true)} />
      </Box>
      <Box
        component="main"
        id="main"
        tabIndex={-1}
        sx={{
          minHeight: { xs: 'calc(100dvh - 44px)', md: '100dvh' },
          paddingBlockEnd: `calc(${LABELS_HIGH + 12}px + env(safe-area-inset-bottom))`,
          outline: 'none',
          '@media print': { paddingBlockEnd: 0 },
        }}
      >
        <ClockNotice />
        <BroughtBack />
        {children}
      </Box>
      {isAsking && (
        <Suspense>
          <CommandBox
            onClose={() => setAsking(false)}
            onOtherGarden={() => onChange(gardenId === 'demo' ? 'own' : 'demo')}
          />
        </Suspense>
      )}
    </>
  );
}
