import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack } from '@mui/material';
import type { FormEvent, ReactNode } from 'react';
import { useOnce } from '../once.ts';
import { AdoptingProvider, useHalfTyped } from './half-typed.ts';

/**
 * The frame of a small form: Enter stores it; Escape leaves it and keeps what was typed, so that it stands there when the same
 * is asked again; "Cancel" lets it go.
 */
export function FormDialog({
  title,
  onClose,
  onSubmit,
  submitLabel,
  children,
  keepAs = title,
}: {
  readonly title: string;
  readonly submitLabel: string;
  readonly children: ReactNode;
  onClose(): void;
  onSubmit(): unknown;
  /** what the form is for, where its title does not tell */
  readonly keepAs?: string;
}) {
  const halfTyped = useHalfTyped(keepAs);
  const once = useOnce(() => {
    // what was stored is not half typed; what is refused stays in its fields and can still be left
    halfTyped.forget();
    return onSubmit();
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    once();
  };
  return (
    <Dialog
      open
      onClose={() => {
        halfTyped.leave();
        onClose();
      }}
      fullWidth
      maxWidth="xs"
    >
      {/* the fields scroll, and what stores them stays in sight */}
      <form onSubmit={submit} noValidate style={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
        <DialogTitle variant="h2">{title}</DialogTitle>
        <DialogContent>
          {halfTyped.isAsLeft && (
            <Box role="status" sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
              As you left it.{' '}
              <Button size="small" onClick={() => halfTyped.beginAnew()} sx={{ textDecoration: 'underline' }}>
                Begin anew
              </Button>
            </Box>
          )}
          <Stack spacing={2} sx={{ paddingBlockStart: 1 }}>
            <AdoptingProvider value={halfTyped.adopt}>{children}</AdoptingProvider>
          </Stack>
        </DialogContent>
        <DialogActions sx={{ padding: 2 }}>
          <Button
            onClick={() => {
              halfTyped.forget();
              onClose();
            }}
          >
            Cancel
          </Button>
          <Button type="submit" variant="contained">
            {submitLabel}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
