import { sentence } from '../../../text/text.ts';
import { Box, ButtonBase, Typography } from '@mui/material';
import { SIGNS, type Part, type Sign } from '@rundel/core/care';
import { useState } from 'react';
import { SignDrawing } from '../../../section/care/SignDrawing.tsx';

const PARTS: readonly { readonly id: Part; readonly name: string }[] = [
  { id: 'leaves', name: 'Leaves' },
  { id: 'plant', name: 'The whole plant' },
  { id: 'stem', name: 'Stem' },
  { id: 'flowers', name: 'Flowers' },
  { id: 'fruit', name: 'Fruit' },
  { id: 'mix', name: 'Mix and roots' },
];

/** Where it is seen, then what is seen there: one tap each; a second tap takes a mark off. */
export function SignPicker({
  seen,
  isFollowUp,
  onToggle,
}: {
  readonly seen: readonly string[];
  readonly isFollowUp: boolean;
  onToggle(id: string): void;
}) {
  const marked = new Set(SIGNS.filter((s) => seen.includes(s.id) && s.about === 'look').map((s) => s.part));
  const [opened, setOpened] = useState<readonly Part[]>([]);
  const open = new Set([...opened, ...(isFollowUp ? [] : marked)]);
  const of = (part: Part) => SIGNS.filter((s) => s.part === part && s.about !== 'course');
  return (
    <Box>
      {isFollowUp && <Course seen={seen} onToggle={onToggle} />}
      <Typography sx={{ fontWeight: 'fontWeightMedium', marginBlock: 1 }}>
        {isFollowUp ? 'Anything new, and where?' : 'Where do you see it?'}
      </Typography>
      <Box role="group" aria-label="Where you see it" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {PARTS.map(({ id, name }) => (
          <ButtonBase
            key={id}
            aria-pressed={open.has(id)}
            onClick={() => setOpened(open.has(id) ? opened.filter((part) => part !== id) : [...opened, id])}
            sx={{ ...CHIP, minHeight: 48, paddingInline: 1.75, fontWeight: 'fontWeightMedium' }}
          >
            {name}
          </ButtonBase>
        ))}
      </Box>
      {PARTS.filter(({ id }) => open.has(id)).map(({ id, name }) => (
        <Signs key={id} label={name} signs={of(id)} seen={seen} onToggle={onToggle} />
      ))}
      {!isFollowUp && marked.size > 0 && <Course seen={seen} onToggle={onToggle} />}
    </Box>
  );
}

const CHIP = {
  border: '1.5px solid var(--line)',
  borderRadius: '10px',
  backgroundColor: 'var(--raised)',
  '&[aria-pressed="true"]': {
    borderColor: 'var(--action)',
    boxShadow: 'inset 0 0 0 1.5px var(--action)',
    backgroundColor: 'var(--action-wash)',
  },
} as const;

/** How it goes on: the newest leaves tell most. */
function Course({ seen, onToggle }: { readonly seen: readonly string[]; onToggle(id: string): void }) {
  return (
    <Signs
      label="How it goes on"
      signs={SIGNS.filter((s) => s.about === 'course')}
      seen={seen}
      onToggle={onToggle}
    />
  );
}

function Signs({
  label,
  signs,
  seen,
  onToggle,
}: {
  readonly label: string;
  readonly signs: readonly Sign[];
  readonly seen: readonly string[];
  onToggle(id: string): void;
}) {
  return (
    <Box component="fieldset" sx={{ border: 0, padding: 0, margin: 0, marginBlockStart: 2, minWidth: 0 }}>
      <Box
        component="legend"
        sx={{ color: 'text.secondary', fontSize: '0.92rem', padding: 0, marginBlockEnd: 0.75 }}
      >
        {label}: mark what you see
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 1,
          gridTemplateColumns: { xs: 'repeat(2, minmax(0, 1fr))', sm: 'repeat(3, minmax(0, 1fr))' },
        }}
      >
        {signs.map(({ id, name }) => (
          <ButtonBase
            key={id}
            aria-pressed={seen.includes(id)}
            onClick={() => onToggle(id)}
            sx={{
              ...CHIP,
              minHeight: 68,
              padding: 0.75,
              gap: 1,
              justifyContent: 'start',
              textAlign: 'start',
              fontSize: '0.92rem',
              lineHeight: 1.25,
              overflowWrap: 'anywhere',
            }}
          >
            <SignDrawing id={id} size={48} />
            {sentence(name)}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
