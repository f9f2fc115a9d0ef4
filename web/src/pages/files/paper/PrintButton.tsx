import { Button } from '@mui/material';
import { IconPrinter } from '@tabler/icons-react';

/** Prints what is shown. */
export function PrintButton({ children }: { readonly children: string }) {
  return (
    <Button variant="contained" startIcon={<IconPrinter aria-hidden />} onClick={() => window.print()}>
      {children}
    </Button>
  );
}
