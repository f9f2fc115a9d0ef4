import { Button } from '@mui/material';
import { CAUTIONS, type CautionId } from '@rundel/core/care';
import { useState } from 'react';
import { Caution } from './Caution.tsx';

/** A caution of the list at its step: one line, and more on demand. */
export function CautionOf({ id }: { readonly id: CautionId }) {
  const [isOpen, setOpen] = useState(false);
  const caution = CAUTIONS.find((each) => each.id === id);
  if (!caution) return null;
  return (
    <Caution>
      {caution.line} {isOpen && caution.more}{' '}
      <Button
        size="small"
        aria-expanded={isOpen}
        aria-label={`${isOpen ? 'Less' : 'More'} about: ${caution.title}`}
        onClick={() => setOpen(!isOpen)}
        sx={{
          padding: 0,
          minWidth: 0,
          minHeight: 0,
          lineHeight: 'inherit',
          fontSize: 'inherit',
          textDecoration: 'underline',
          verticalAlign: 'baseline',
        }}
      >
        {isOpen ? 'Less' : 'More'}
      </Button>
    </Caution>
  );
}
