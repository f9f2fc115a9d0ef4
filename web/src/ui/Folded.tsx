import { Box, Button } from '@mui/material';
import { useId, useState, type ReactNode } from 'react';

/** Questions with a good default, folded behind one line of what was assumed. */
export function Folded({
  summary,
  children,
  hasProblem = false,
}: {
  readonly summary: string;
  readonly children: ReactNode;
  /** something in it is refused: it opens by itself */
  readonly hasProblem?: boolean;
}) {
  const [isUnfolded, setOpen] = useState(false);
  const isOpen = isUnfolded || hasProblem;
  const id = useId();
  return (
    <Box sx={{ marginBlockStart: 0.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 0.5 }}>
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {summary}
        </Box>
        <Button
          onClick={() => setOpen(!isOpen)}
          aria-expanded={isOpen}
          aria-controls={id}
          aria-label={`${summary} ${isOpen ? 'Fold away' : 'Change'}`}
          sx={{ textDecoration: 'underline', paddingInline: 0.5, minWidth: 0 }}
        >
          {isOpen ? 'fold away' : 'change'}
        </Button>
      </Box>
      <Box id={id} hidden={!isOpen} sx={{ marginBlockStart: 1 }}>
        {children}
      </Box>
    </Box>
  );
}
