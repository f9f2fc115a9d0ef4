import { Box, ButtonBase } from '@mui/material';
import type { Mix } from '@rundel/core/mixes';

const HIGH = 190;

/** What is in a volume of mix, from the bottom up; each with a fill that is told apart without its colour. */
const PARTS = [
  { key: 'solid', label: 'solid', fill: 'var(--mix)' },
  { key: 'held', label: 'water no root can take', fill: 'var(--water-2)' },
  { key: 'usable', label: 'water for the plant', fill: 'var(--water-5)' },
  { key: 'air', label: 'air', fill: 'var(--raised)' },
] as const;

function sharesOf(mix: Mix): Record<(typeof PARTS)[number]['key'], number> {
  return {
    solid: Math.max(0, 1 - mix.capacity - mix.air),
    held: mix.unavailable,
    usable: mix.capacity - mix.unavailable,
    air: mix.air,
  };
}

/** Mixes side by side as columns of what a litre holds after draining. */
export function MixColumns({
  mixes,
  chosenId,
  onChoose,
}: {
  readonly mixes: readonly { readonly mix: Mix; readonly label: string }[];
  readonly chosenId: string | undefined;
  onChoose(id: string): void;
}) {
  return (
    <Box>
      <Box
        role="radiogroup"
        aria-label="Mixes"
        sx={{ display: 'flex', gap: 1, overflowX: 'auto', paddingBlock: 1.5, alignItems: 'stretch' }}
      >
        {mixes.map(({ mix, label }) => {
          const shares = sharesOf(mix);
          const isChosen = mix.id === chosenId;
          return (
            <ButtonBase
              key={mix.id}
              role="radio"
              aria-checked={isChosen}
              aria-label={`${mix.name}: ${PARTS.map((p) => `${Math.round(shares[p.key] * 100)} % ${p.label}`).join(', ')}; ${label}`}
              onClick={() => onChoose(mix.id)}
              sx={{
                flex: '1 0 118px',
                display: 'grid',
                gridTemplateRows: 'auto 1fr auto',
                justifyItems: 'center',
                borderRadius: '10px',
                padding: 1,
                gap: 0.75,
                backgroundColor: isChosen ? 'var(--action-wash)' : 'transparent',
                outline: isChosen ? '2px solid var(--action)' : 'none',
                outlineOffset: -2,
              }}
            >
              <svg viewBox={`0 0 64 ${HIGH}`} width="64" height={HIGH} aria-hidden>
                {PARTS.map(({ key, fill }, i) => {
                  const below = PARTS.slice(0, i).reduce((sum, p) => sum + shares[p.key], 0);
                  const height = shares[key] * (HIGH - 4);
                  const y = 2 + (1 - below - shares[key]) * (HIGH - 4);
                  return (
                    <g key={key}>
                      <rect x="2" y={y} width="60" height={height} fill={fill} />
                      {key === 'air' && <Bubbles y={y} height={height} />}
                      {height > 18 && key !== 'air' && (
                        <text
                          x="32"
                          y={y + height / 2 + 5}
                          textAnchor="middle"
                          fontSize="14"
                          fontWeight="700"
                          fill={key === 'held' ? '#1a130e' : '#ffffff'}
                        >
                          {Math.round(shares[key] * 100)}
                        </text>
                      )}
                    </g>
                  );
                })}
                <rect
                  x="2"
                  y="2"
                  width="60"
                  height={HIGH - 4}
                  fill="none"
                  stroke="var(--wall)"
                  strokeWidth="3"
                  rx="4"
                />
              </svg>
              <Box
                sx={{
                  fontSize: '0.9rem',
                  fontWeight: isChosen ? 700 : 400,
                  textAlign: 'center',
                  lineHeight: 1.2,
                }}
              >
                {mix.name}
              </Box>
              <Box sx={{ fontSize: '0.8rem', color: 'text.secondary', textAlign: 'center' }}>{label}</Box>
            </ButtonBase>
          );
        })}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5, rowGap: 0.5, fontSize: '0.85rem' }}>
        <Box component="span" sx={{ color: 'text.secondary' }}>
          In a hundred parts, once drained:
        </Box>
        {[...PARTS].reverse().map(({ key, label, fill }) => (
          <Box key={key} component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
            <Box
              component="span"
              sx={{
                width: 16,
                height: 16,
                backgroundColor: fill,
                border: '1.5px solid var(--wall)',
                borderRadius: '3px',
              }}
            />
            {label}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Bubbles({ y, height }: { readonly y: number; readonly height: number }) {
  const rows = Math.max(1, Math.floor(height / 13));
  return (
    <g fill="none" stroke="var(--muted)" strokeWidth="1.2">
      {Array.from({ length: rows * 3 }, (_, i) => (
        <circle
          key={i}
          cx={14 + (i % 3) * 18 + (Math.floor(i / 3) % 2) * 6}
          cy={y + 7 + Math.floor(i / 3) * 13}
          r={2.2 + (i % 2)}
        />
      ))}
    </g>
  );
}
