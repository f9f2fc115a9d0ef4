import { Box, Button } from '@mui/material';
import type { EntryOf } from '@rundel/core/records';
import { FINGER_GRADES, LIFT_GRADES } from '@rundel/core/water';
import { LEVELS, levelShare } from '../../text/check-text.ts';
import { useKeys } from './keys.ts';

/** Ways of looking that are a choice among grades. */
export type GradedMethod = 'finger' | 'lift' | 'level';

type CheckMade = EntryOf<'check'>['check'];

const NAMES: Record<GradedMethod, readonly string[]> = {
  finger: FINGER_GRADES,
  lift: LIFT_GRADES,
  level: LEVELS,
};

const QUESTION: Record<GradedMethod, string> = {
  finger: 'What the finger feels',
  lift: 'How heavy it is',
  level: 'How full its store is',
};

/** What a grade on the buttons stands for. */
function gradedCheck(checkMethod: GradedMethod, grade: number): CheckMade {
  return checkMethod === 'level'
    ? { method: 'level', share: levelShare(grade) }
    : { method: checkMethod, grade };
}

const FEELS: Record<GradedMethod, readonly string[]> = {
  finger: [
    'pale, pulls away from the side',
    'nothing sticks to the finger',
    'cool, a few crumbs stick',
    'clumps, no shine',
    'shines, drips when pressed',
  ],
  lift: ['comes up with one hand', 'as on most days', 'will not budge'],
  level: ['fill it now', 'fill it today', '', '', 'to the overflow'],
};

/** The grades of a check, large enough for a wet thumb; keys 1 to 5 do the same. */
export function GradeButtons({
  method,
  expected,
  chosen,
  onCheck,
  isInRow,
}: {
  readonly method: GradedMethod;
  /** span of grades that are expected */
  readonly expected: { readonly driest: number; readonly wettest: number } | undefined;
  readonly chosen: number | undefined;
  onCheck(check: CheckMade): void;
  /** small and side by side: one is chosen, and what follows from it wants the room */
  readonly isInRow: boolean;
}) {
  const names = NAMES[method];
  useKeys(({ key }) => {
    const grade = Number(key);
    if (!/^[1-9]$/.test(key) || grade > names.length) return false;
    onCheck(gradedCheck(method, grade));
    return true;
  });
  return (
    <Box
      role="group"
      aria-label={QUESTION[method]}
      sx={{
        display: 'grid',
        gap: isInRow ? 0.75 : 1,
        ...(isInRow && { gridTemplateColumns: `repeat(${names.length}, minmax(0, 1fr))` }),
      }}
    >
      {names.map((name, i) => {
        const grade = i + 1;
        const isChosen = chosen === grade;
        const isExpected = expected !== undefined && grade >= expected.driest && grade <= expected.wettest;
        const shade = method === 'lift' ? grade * 2 - 1 : grade;
        return (
          <Button
            key={name}
            variant="outlined"
            aria-pressed={isChosen}
            aria-keyshortcuts={String(grade)}
            onClick={() => onCheck(gradedCheck(method, grade))}
            sx={{
              minHeight: 56,
              ...(isInRow
                ? { flexDirection: 'column', gap: 0.25, paddingInline: 0, paddingBlock: 0.5 }
                : { justifyContent: 'flex-start', textAlign: 'start', gap: 1.5, paddingInline: 1.5 }),
              borderWidth: isChosen ? 3 : 1.5,
              borderColor: isChosen ? 'var(--action)' : 'var(--line)',
              backgroundColor: isChosen ? 'var(--action-wash)' : 'var(--raised)',
            }}
          >
            <Box
              aria-hidden
              sx={{
                width: isInRow ? 26 : 32,
                height: isInRow ? 26 : 32,
                borderRadius: '50%',
                flexShrink: 0,
                display: 'grid',
                placeItems: 'center',
                backgroundColor: `var(--water-${shade})`,
                color: shade >= 4 ? '#fff' : '#1d140e',
                fontSize: '0.95rem',
                outline: isExpected ? '2px solid var(--ink)' : 'none',
                outlineOffset: 2,
              }}
            >
              {grade}
            </Box>
            <Box
              component="span"
              sx={{
                color: 'text.primary',
                ...(isInRow
                  ? { fontSize: '0.78rem', lineHeight: 1.1 }
                  : { fontSize: '1.1rem', minWidth: 108 }),
              }}
            >
              {name}
            </Box>
            {!isInRow && (
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
            )}
          </Button>
        );
      })}
    </Box>
  );
}
