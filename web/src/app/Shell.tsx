import { Box } from '@mui/material';
import { useEffect, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { GardenId } from '../store/index.ts';
import { ClockNotice } from './ClockNotice.tsx';
import { GardenLine } from './GardenLine.tsx';
import { Labels, LABELS_HIGH } from './Labels.tsx';

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
        <GardenLine gardenId={gardenId} onChange={onChange} />
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
        {children}
      </Box>
    </>
  );
}
