import { Button, Snackbar, useMediaQuery } from '@mui/material';
import { useEffect, useState } from 'react';
import { useGarden, told } from '../store/index.ts';

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
      told(event.shiftKey ? redo() : undo());
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
      // at the head, over the title: at the foot or at the right it would lie over buttons
      anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
      message={words}
      action={
        lastChange.canUndo ? (
          <Button onClick={() => told(undo())} sx={{ color: 'var(--flower)', minHeight: 44 }}>
            Undo
          </Button>
        ) : undefined
      }
      // below the garden's line, from which the next thing may be put down
      // and behind a dialog that is open, whose first lines it would hide; what went wrong is told above everything
      sx={({ zIndex }) => ({
        top: isPhone ? 46 : 8,
        bottom: 'auto',
        ...(lastChange.canUndo && { zIndex: zIndex.modal - 1 }),
      })}
      slotProps={{
        content: {
          sx: {
            backgroundColor: 'var(--soil)',
            color: 'var(--on-soil)',
            borderRadius: '10px',
            fontSize: '0.95rem',
          },
        },
      }}
    />
  );
}
