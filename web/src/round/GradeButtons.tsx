import { Box, Button } from '@mui/material';
import { FINGER_GRADES, LIFT_GRADES, type Look } from '@rundel/core/water';

const FEELS: Record<'finger' | 'lift', readonly string[]> = {
  finger: [
    'pale, pulls away from the side',
    'nothing sticks to the finger',
    'cool, a few crumbs stick',
    'clumps, no shine',
    'shines, drips when pressed',
  ],
  lift: ['comes up with one hand', 'as on most days', 'will not budge'],
};

/** The grades of a look, large enough for a wet thumb; keys 1 to 5 do the same. */
export function GradeButtons({
  method,
  expected,
  chosen,
  onLook,
}: {
  readonly method: Look['method'];
  /** span of grades that are expected, finger only */
  readonly expected: { readonly driest: number; readonly wettest: number } | undefined;
  readonly chosen: number | undefined;
  onLook(look: Look): void;
}) {
  const names = method === 'finger' ? FINGER_GRADES : LIFT_GRADES;
  return (
    <Box
      role="group"
      aria-label={method === 'finger' ? 'What the finger feels' : 'How heavy it is'}
      sx={{ display: 'grid', gap: 1 }}
    >
      {names.map((name, i) => {
        const grade = i + 1;
        const isChosen = chosen === grade;
        const isExpected =
          method === 'finger' &&
          expected !== undefined &&
          grade >= expected.driest &&
          grade <= expected.wettest;
        const shade = method === 'finger' ? grade : grade * 2 - 1;
        return (
          <Button
            key={name}
            variant="outlined"
            aria-pressed={isChosen}
            aria-keyshortcuts={String(grade)}
            onClick={() => onLook({ method, grade })}
            sx={{
              minHeight: 56,
              justifyContent: 'flex-start',
              textAlign: 'start',
              gap: 1.5,
              paddingInline: 1.5,
              borderWidth: isChosen ? 3 : 1.5,
              borderColor: isChosen ? 'var(--action)' : 'var(--line)',
              backgroundColor: isChosen ? 'var(--action-wash)' : 'var(--raised)',
            }}
          >
            <Box
              aria-hidden
              sx={{
                width: 32,
                height: 32,
                borderRadius: '50%',
                flexShrink: 0,
                display: 'grid',
                placeItems: 'center',
                backgroundColor: `var(--water-${shade})`,
                color: shade >= 4 ? '#fff' : '#1d1224',
                fontSize: '0.95rem',
                outline: isExpected ? '2px solid var(--ink)' : 'none',
                outlineOffset: 2,
              }}
            >
              {grade}
            </Box>
            <Box component="span" sx={{ fontSize: '1.1rem', minWidth: 108, color: 'text.primary' }}>
              {name}
            </Box>
            <Box
              component="span"
              sx={{
                fontSize: '0.85rem',
                fontWeight: 'fontWeightRegular',
                color: 'text.secondary',
                lineHeight: 1.25,
              }}
            >
              {FEELS[method][i]}
            </Box>
          </Button>
        );
      })}
    </Box>
  );
}
