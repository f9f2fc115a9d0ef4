import { Box, type BoxProps } from '@mui/material';
import type { FormEvent, ReactNode } from 'react';
import { useOnce } from '../once.ts';

/** A form that stands in a page: Enter or its button sends it once. */
export function InlineForm({
  onSubmit,
  label,
  sx,
  children,
}: {
  readonly label?: string;
  readonly sx?: BoxProps['sx'];
  readonly children: ReactNode;
  onSubmit(): unknown;
}) {
  const once = useOnce(onSubmit);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    once();
  };
  return (
    <Box component="form" noValidate aria-label={label} onSubmit={submit} {...(sx ? { sx } : {})}>
      {children}
    </Box>
  );
}
