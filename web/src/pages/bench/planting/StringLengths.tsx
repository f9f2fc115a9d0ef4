import { Box } from '@mui/material';
import { resolveAssumed } from '@rundel/core/assumed';
import { stringParts, type HeldPlant, type StringTail } from '@rundel/core/plants';
import { Link } from 'react-router';
import { HowCalculated, WorkedLines } from '../../../ui/HowCalculated.tsx';
import { useGarden, useUnitFormat } from '../../../store/index.ts';

/** How a string comes to its length, for the longest of those that hang; its parts are the grower's to set. */
export function StringLengths({
  held,
  tail,
}: {
  readonly held: readonly HeldPlant[];
  readonly tail: StringTail;
}) {
  const { garden } = useGarden();
  const unitFormat = useUnitFormat();
  const strings = held.filter((p) => p.kindId === 'string');
  if (strings.length === 0) return null;
  const assumed = resolveAssumed(garden.settings.assumptions);
  const all = strings.map((plant) => stringParts(plant, tail, assumed));
  const lengthOf = (p: (typeof all)[number]) => p.straight + p.winding + p.foot + p.knots;
  const longest = all.reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a));
  const height = (mm: number) => unitFormat.show(mm, 'height');
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <HowCalculated label={`The longest string: ${height(lengthOf(longest))}`}>
        <WorkedLines
          lines={[
            ['From the wire to the mix', height(longest.straight)],
            ['Round the stem', height(longest.winding)],
            [tail === 'loop' ? 'Loop at the foot' : 'Tail under the ball', height(longest.foot)],
            ['Knots', height(longest.knots)],
          ]}
        />
        <Link to="/settings" style={{ color: 'inherit' }}>
          Set these to what you use
        </Link>
      </HowCalculated>
    </Box>
  );
}
