import { sentence } from '../../../text/text.ts';
import { Box, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import type { BagRecord, Diagnosis, RankedCause } from '@rundel/core/care';
import { causeName, chanceWords, percent, reasonWords, signName } from '../../../text/trouble-text.ts';
import { inUnits } from '../../../text/in-units.ts';
import { HowCalculated } from '../../../ui/HowCalculated.tsx';
import { Remark } from '../../../ui/Remark.tsx';
import { useUnitFormat } from '../../../store/index.ts';

/** So many causes are told; the rest is a line. */
const TOLD = 4;
/** Less likely than this it is not told by itself. */
const WORTH = 0.04;

/** What may be behind it, likeliest first, each with what speaks for and against it. */
export function Ranking({
  diagnosis,
  record,
  children,
}: {
  readonly diagnosis: Diagnosis;
  readonly record: BagRecord;
  /** what stands between the answer and its list */
  readonly children: ReactNode;
}) {
  const { ranked, cannotTell, contradictions } = diagnosis;
  const disputed = contradictions.map(([a, b]) => (
    <Remark key={`${a} ${b}`} role="alert">
      "{sentence(signName(a))}" and "{signName(b)}" cannot both be: neither counts until one is taken off.
    </Remark>
  ));
  if (cannotTell === 'nothing-seen')
    return (
      <>
        {disputed}
        <Typography>
          Mark what you see. I weigh it against what this bag’s diary says: nights, water, feed, sprays, and
          what stood beside it.
        </Typography>
      </>
    );
  const told = ranked.filter(({ chance }, i) => i === 0 || (i < TOLD && chance > WORTH));
  const rest = ranked.slice(told.length).reduce((sum, { chance }) => sum + chance, 0);
  const [first] = ranked;
  return (
    <Box>
      <Typography role="status" sx={{ fontSize: '1.15rem', marginBlockEnd: 1 }}>
        {cannotTell === 'nothing-fits' ? (
          <>
            <strong>I cannot tell.</strong> Nothing that I know fits all of it.
          </>
        ) : cannotTell === 'several-fit' ? (
          <>
            <strong>I cannot tell yet.</strong> It looks most like {causeName(first?.id ?? '')}.
          </>
        ) : (
          <>
            {sentence(chanceWords(first?.chance ?? 0))}: <strong>{causeName(first?.id ?? '')}</strong>.
          </>
        )}
      </Typography>
      {disputed}
      {children}
      <Box
        component="ol"
        aria-label="What may be behind it"
        sx={{ listStyle: 'none', margin: 0, padding: 0 }}
      >
        {told.map((each) => (
          <OneCause key={each.id} ranked={each} record={record} />
        ))}
      </Box>
      {rest > 0.01 && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Everything else together: {percent(rest)}.
        </Typography>
      )}
    </Box>
  );
}

function OneCause({ ranked, record }: { readonly ranked: RankedCause; readonly record: BagRecord }) {
  const unitFormat = useUnitFormat();
  const { cause, chance } = ranked;
  const reasons = (list: RankedCause['for'], isFor: boolean) =>
    list.map((reason) => reasonWords(reason, record.factors, unitFormat, isFor)).filter(Boolean);
  const [speaks, against] = [reasons(ranked.for, true), reasons(ranked.against, false)];
  const name = cause ? sentence(cause.name) : 'Something that I do not know';
  return (
    <Box component="li" sx={{ borderBlockStart: '1px solid var(--line)', paddingBlock: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <strong>{name}</strong>
        </Box>
        <Box sx={{ fontVariantNumeric: 'tabular-nums', fontWeight: 'fontWeightMedium' }}>
          {percent(chance)}
        </Box>
      </Box>
      <Box
        aria-hidden
        sx={{ height: 8, borderRadius: '4px', backgroundColor: 'var(--line)', marginBlock: 0.5 }}
      >
        <Box
          sx={{
            height: 8,
            borderRadius: '4px',
            width: `${Math.max(1, chance * 100)}%`,
            backgroundColor: 'var(--action)',
          }}
        />
      </Box>
      {cause && (
        <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>{inUnits(cause.means, unitFormat)}</Box>
      )}
      {speaks.length + against.length > 0 && (
        <HowCalculated label="What speaks for and against it">
          <Reasons label="For" lines={speaks} />
          <Reasons label="Against" lines={against} />
        </HowCalculated>
      )}
    </Box>
  );
}

function Reasons({ label, lines }: { readonly label: string; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <Box sx={{ marginBlockEnd: 0.5, fontSize: '0.92rem' }}>
      <strong>{label}:</strong>
      <Box component="ul" sx={{ margin: 0, paddingInlineStart: 2.5 }}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}
