import { Typography } from '@mui/material';
import type { ReactNode } from 'react';

/** A remark that is set off from what stands around it: worth reading, and nothing that could hurt. */
export function Remark({
  children,
  role = 'note',
}: {
  readonly children: ReactNode;
  readonly role?: 'note' | 'alert';
}) {
  return (
    <Typography
      component="div"
      role={role}
      sx={{ borderInlineStart: '5px solid var(--flower)', paddingInlineStart: 1.5, marginBlock: 1.5 }}
    >
      {children}
    </Typography>
  );
}
