import { Box, Button, Checkbox, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { bagListWords } from '../text/bag-text.ts';
import { BagIcon } from '../section/index.ts';
import type { Bag } from '../store/index.ts';

interface BagChooserProps {
  readonly bags: readonly Bag[];
  readonly chosen: readonly Bag[];
  onChange(containerIds: readonly string[]): void;
  readonly label?: string;
}

/** Which bags, in one line ("All 24 bags · change") that opens a sheet: what comes of them matters more. */
export function BagChooser({ bags, chosen, onChange, label = 'For which bags' }: BagChooserProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', columnGap: 1 }}>
      <Box component="strong">{bagListWords(chosen, bags)}</Box>
      <Button
        onClick={() => setOpen(true)}
        aria-label={`${label}: ${bagListWords(chosen, bags)}. Change`}
        aria-haspopup="dialog"
        sx={{ textDecoration: 'underline', paddingInline: 0.5, minWidth: 0 }}
      >
        change
      </Button>
      <Dialog
        open={isOpen}
        onClose={() => setOpen(false)}
        maxWidth="md"
        fullWidth
        aria-labelledby="bag-chooser"
      >
        <DialogTitle id="bag-chooser" variant="h2">
          {label}
        </DialogTitle>
        <DialogContent>
          <BagMarks bags={bags} chosen={chosen} onChange={onChange} label={label} />
        </DialogContent>
        <DialogActions sx={{ padding: 2 }}>
          <Button variant="contained" onClick={() => setOpen(false)}>
            {chosen.length === 1 ? 'This bag' : chosen.length === 0 ? 'None' : `These ${chosen.length} bags`}
          </Button>
        </DialogActions>
      </Dialog>
    </Box>
  );
}

/** Several bags chosen by their marks, place by place. */
export function BagMarks({ bags, chosen, onChange, label = 'For which bags' }: BagChooserProps) {
  const ids = chosen.map((b) => b.container.id);
  const places = [...new Map(bags.map((b) => [b.container.placeId, b.place?.name ?? ''])).entries()];
  return (
    <Box role="group" aria-label={label}>
      {places.map(([placeId, name]) => (
        <Box
          key={placeId}
          sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, marginBlockEnd: 0.5 }}
        >
          <Button
            onClick={() => {
              const here = bags.filter((b) => b.container.placeId === placeId).map((b) => b.container.id);
              const isAll = here.every((id) => ids.includes(id));
              onChange(isAll ? ids.filter((id) => !here.includes(id)) : [...new Set([...ids, ...here])]);
            }}
            aria-label={`All of ${name}`}
            sx={{
              width: { xs: '100%', sm: 132 },
              justifyContent: 'flex-start',
              paddingInline: 0.5,
              textAlign: 'start',
              fontSize: '0.9rem',
              textDecoration: 'underline',
            }}
          >
            {name}
          </Button>
          {bags
            .filter((b) => b.container.placeId === placeId)
            .map((bag) => {
              const { id, label: number } = bag.container;
              const isOn = ids.includes(id);
              return (
                <Box
                  key={id}
                  component="label"
                  sx={{
                    display: 'flex',
                    alignItems: 'center',
                    minHeight: 48,
                    paddingInlineEnd: 1,
                    borderRadius: '10px',
                    border: '2px solid',
                    borderColor: isOn ? 'var(--action)' : 'var(--line)',
                    backgroundColor: isOn ? 'var(--action-wash)' : 'transparent',
                    cursor: 'pointer',
                  }}
                >
                  <Checkbox
                    size="small"
                    checked={isOn}
                    onChange={(_, on) => onChange(on ? [...ids, id] : ids.filter((each) => each !== id))}
                    slotProps={{ input: { 'aria-label': `Bag ${number}` } }}
                  />
                  <BagIcon properties={bag.properties} water={undefined} plants={0} size={30} />
                  <Box component="strong" sx={{ marginInlineStart: 0.5 }}>
                    {number}
                  </Box>
                </Box>
              );
            })}
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={() => onChange(bags.map((b) => b.container.id))}>All</Button>
        <Button onClick={() => onChange([])}>None</Button>
      </Box>
    </Box>
  );
}
