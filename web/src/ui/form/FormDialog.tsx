import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack } from '@mui/material';
import type { FormEvent, ReactNode } from 'react';
import { useOnce } from '../once.ts';

/** The frame of a small form: Enter stores it, Escape leaves everything as it was. */
export function FormDialog({
  title,
  onClose,
  onSubmit,
  submitLabel,
  children,
}: {
  readonly title: string;
  readonly submitLabel: string;
  readonly children: ReactNode;
  onClose(): void;
  onSubmit(): unknown;
}) {
  const once = useOnce(onSubmit);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    once();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <form onSubmit={submit} noValidate>
        <DialogTitle variant="h2">{title}</DialogTitle>
        <DialogContent>
          <Stack spacing={2} sx={{ paddingBlockStart: 1 }}>
            {children}
          </Stack>
        </DialogContent>
        <DialogActions sx={{ padding: 2 }}>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            {submitLabel}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
