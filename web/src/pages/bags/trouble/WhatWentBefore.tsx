import { sentence } from '../../../text/text.ts';
import { Box, Button, Typography } from '@mui/material';
import { RECALLED_FACTORS, type BagRecord } from '@rundel/core/care';
import { Link } from 'react-router';
import { factorWords, RECALLED_WORDS } from '../../../text/trouble-text.ts';
import { Folded } from '../../../ui/Folded.tsx';
import { useUnitFormat } from '../../../store/index.ts';

/** What the diary says of the weeks before, and what the grower remembers: that goes before it. */
export function WhatWentBefore({
  record,
  recalled,
  onRecall,
}: {
  readonly record: BagRecord;
  readonly recalled: Readonly<Record<string, boolean>>;
  onRecall(id: string, was: boolean | undefined): void;
}) {
  const unitFormat = useUnitFormat();
  const missing = RECALLED_FACTORS.filter((id) => !record.factors[id] && recalled[id] === undefined);
  return (
    <Box sx={{ marginBlockStart: 2 }}>
      <Folded
        summary={
          missing.length > 0
            ? `What went before: the diary does not say ${missing.map((id) => RECALLED_WORDS[id]).join('; ')}.`
            : 'What went before, as the diary has it.'
        }
      >
        <Typography variant="body2" sx={{ color: 'text.secondary', marginBlockEnd: 1 }}>
          Tell what you remember: it makes the answer surer, and goes before the diary. Nights can also be{' '}
          <Link to="/season/weather" style={{ color: 'inherit' }}>
            entered
          </Link>
          .
        </Typography>
        {RECALLED_FACTORS.map((id) => {
          const reading = record.factors[id];
          const was = recalled[id];
          const button = (answer: boolean, label: string) => (
            <Button
              size="small"
              variant={was === answer ? 'contained' : 'outlined'}
              aria-pressed={was === answer}
              aria-label={`${label}: ${RECALLED_WORDS[id]}`}
              onClick={() => onRecall(id, was === answer ? undefined : answer)}
              sx={{ minHeight: 44, minWidth: 56 }}
            >
              {label}
            </Button>
          );
          return (
            <Box
              key={id}
              sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1,
                borderBlockEnd: '1px solid var(--line)',
                paddingBlock: 0.5,
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                {sentence(RECALLED_WORDS[id])}
                <Box sx={{ color: 'text.secondary', fontSize: '0.88rem' }}>
                  {reading ? `diary: ${factorWords(id, reading, unitFormat)}` : 'the diary does not say'}
                </Box>
              </Box>
              {button(true, 'Yes')}
              {button(false, 'No')}
            </Box>
          );
        })}
      </Folded>
    </Box>
  );
}
