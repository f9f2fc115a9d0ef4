import { Box, Button, Collapse } from '@mui/material';
import { IconChevronDown } from '@tabler/icons-react';
import { useId, useState, type ReactNode } from 'react';

/** A worked-out number that can be opened to show how, from what, with what doubt. */
export function HowCalculated({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <Box>
      <Button
        size="small"
        variant="text"
        onClick={() => setOpen((open) => !open)}
        aria-expanded={isOpen}
        aria-controls={id}
        endIcon={
          <IconChevronDown
            aria-hidden
            size={18}
            style={{ rotate: isOpen ? '180deg' : '0deg', transition: 'rotate 150ms' }}
          />
        }
        sx={{
          paddingInline: 0.5,
          color: 'text.primary',
          textDecoration: 'underline',
          textDecorationColor: 'var(--flower)',
          textDecorationThickness: 3,
          textUnderlineOffset: 4,
        }}
      >
        {label}
      </Button>
      <Collapse in={isOpen} id={id}>
        <Box sx={{ borderInlineStart: '3px solid var(--flower)', paddingInlineStart: 2, marginBlock: 1 }}>
          {children}
        </Box>
      </Collapse>
    </Box>
  );
}

/** Lines of a working: what, and its value. */
export function WorkedLines({ lines }: { readonly lines: readonly (readonly [ReactNode, ReactNode])[] }) {
  return (
    <Box
      component="dl"
      sx={{
        display: 'grid',
        gridTemplateColumns: '1fr auto',
        columnGap: 2,
        rowGap: 0.5,
        margin: 0,
        fontSize: '0.92rem',
      }}
    >
      {lines.map(([what, value], i) => (
        <Box key={i} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ color: 'text.secondary' }}>
            {what}
          </Box>
          <Box component="dd" sx={{ margin: 0, textAlign: 'end', fontWeight: 'fontWeightMedium' }}>
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
