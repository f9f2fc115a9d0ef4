import { Button, Snackbar, useMediaQuery } from '@mui/material';
import { useEffect, useState } from 'react';
import { useGarden } from '../store/index.ts';

/** A word on what was just done, with its undo. Ctrl Z and Ctrl Shift Z work anywhere outside of a field. */
export default function UndoBar() {
  const { lastChange, undo, redo } = useGarden();
  const isPhone = useMediaQuery('(max-width: 899px)');
  const [hiddenNumber, setHiddenNumber] = useState(0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      if ((event.target as HTMLElement).closest('input, textarea, [contenteditable]')) return;
      event.preventDefault();
      void (event.shiftKey ? redo() : undo());
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [redo, undo]);
  if (!lastChange) return null;
  const words = lastChange.label.charAt(0).toUpperCase() + lastChange.label.slice(1);
  return (
    <Snackbar
      key={lastChange.number}
      open={lastChange.number !== hiddenNumber}
      autoHideDuration={7000}
      onClose={(_, reason) => {
        if (reason !== 'clickaway') setHiddenNumber(lastChange.number);
      }}
      anchorOrigin={
        isPhone ? { vertical: 'top', horizontal: 'center' } : { vertical: 'bottom', horizontal: 'left' }
      }
      message={words}
      action={
        lastChange.canUndo ? (
          <Button onClick={() => void undo()} sx={{ color: 'var(--flower)', minHeight: 44 }}>
            Undo
          </Button>
        ) : undefined
      }
      sx={isPhone ? { top: 4, bottom: 'auto' } : { top: 'auto', bottom: 20, left: 116 }}
      slotProps={{
        content: {
          sx: {
            backgroundColor: 'var(--rail)',
            color: 'var(--on-rail)',
            borderRadius: '10px',
            fontSize: '0.95rem',
          },
        },
      }}
    />
  );
}
