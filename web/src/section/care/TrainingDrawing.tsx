import type { CutAt, CutMark } from '@rundel/core/care';
import type { TrainingFormId } from '@rundel/core/records';

/** Where each place lies on the drawn plant, viewBox 0 0 220 300; the plant stands at x 110, its mix at y 280. */
const PLACES: Readonly<
  Record<'leader' | 'fork', Readonly<Partial<Record<CutAt, readonly [number, number]>>>>
> = {
  leader: {
    tip: [110, 30],
    axil: [124, 108],
    'low-axil': [96, 196],
    'low-leaf': [152, 242],
    truss: [70, 150],
    'below-first-truss': [124, 172],
    'first-flower': [70, 150],
    flower: [150, 70],
    'side-tip': [168, 92],
  },
  fork: {
    tip: [110, 96],
    fork: [110, 158],
    'below-fork': [124, 204],
    'low-leaf': [152, 244],
    'first-flower': [110, 146],
    flower: [150, 96],
    axil: [84, 118],
  },
};

const FORKED: readonly TrainingFormId[] = ['pepper', 'aubergine', 'bush', 'dwarf', 'cucumber-sprawl'];

/**
 * Where to pinch and where never, on a plant in section: a cross with a ring is a cut, a barred ring is never, a tie is kept, waves are
 * shaken.
 */
export function TrainingDrawing({
  formId,
  marks,
  title,
  height = 220,
}: {
  readonly formId: TrainingFormId;
  readonly marks: readonly CutMark[];
  readonly title: string;
  readonly height?: number;
}) {
  const isForked = FORKED.includes(formId);
  const places = PLACES[isForked ? 'fork' : 'leader'];
  return (
    <svg viewBox="0 0 220 300" height={height} role="img" aria-label={title} style={{ maxWidth: '100%' }}>
      <path d="M40 262 H180 L172 298 H48 Z" fill="var(--mix)" stroke="var(--wall)" strokeWidth="3" />
      {isForked ? <Forked /> : <Leader />}
      {marks.map(({ at, kind }) => {
        const place = places[at];
        return place && <Mark key={`${at} ${kind}`} kind={kind} x={place[0]} y={place[1]} />;
      })}
    </svg>
  );
}

const stem = { fill: 'none', stroke: 'var(--leaf)', strokeLinecap: 'round' as const };

/** A leaf of some leaflets. */
function Leaf({
  x,
  y,
  side,
  long = 54,
}: {
  readonly x: number;
  readonly y: number;
  readonly side: 1 | -1;
  readonly long?: number;
}) {
  const at = (share: number) => [x + side * long * share, y - 18 * share * (1.6 - share)] as const;
  return (
    <g>
      <path
        d={`M${x} ${y} Q${x + side * long * 0.5} ${y - 20} ${x + side * long} ${y - 10}`}
        {...stem}
        strokeWidth="3"
      />
      {[0.45, 0.72, 1].map((share) => {
        const [cx, cy] = at(share);
        return (
          <ellipse
            key={share}
            cx={cx}
            cy={cy + (share === 0.72 ? 8 : -4)}
            rx={long * 0.19}
            ry={long * 0.12}
            fill="var(--leaf-pale)"
            stroke="var(--leaf)"
          />
        );
      })}
    </g>
  );
}

function Leader() {
  return (
    <g>
      <path d="M110 262 C106 200 114 120 110 30" {...stem} strokeWidth="7" />
      <Leaf x={110} y={252} side={1} />
      <Leaf x={109} y={218} side={-1} />
      <Leaf x={110} y={188} side={1} />
      <Leaf x={111} y={126} side={1} long={62} />
      <Leaf x={111} y={92} side={-1} />
      <Leaf x={110} y={56} side={1} long={34} />
      {/* side shoots in the angles of leaf and stem */}
      <path
        d="M110 128 q12 -8 16 -26 M109 220 q-10 -10 -14 -26 M110 190 q10 -8 14 -22"
        {...stem}
        strokeWidth="4"
      />
      <path d="M110 100 q30 6 58 -6" {...stem} strokeWidth="3" opacity="0.55" />
      {/* a truss leaves the stem between two leaves */}
      <path d="M110 160 q-20 -4 -34 -4 M110 78 q18 -4 34 -6" {...stem} strokeWidth="3" />
      {[
        [76, 160],
        [66, 152],
        [62, 164],
      ].map(([cx, cy]) => (
        <circle key={cx} cx={cx} cy={cy} r="7" fill="var(--fruit)" />
      ))}
      {[
        [146, 70],
        [154, 76],
        [142, 78],
      ].map(([cx, cy]) => (
        <circle key={cx} cx={cx} cy={cy} r="4.5" fill="var(--flower)" stroke="var(--ink)" strokeWidth="0.8" />
      ))}
    </g>
  );
}

function Forked() {
  return (
    <g>
      <path
        d="M110 262 V158 M110 158 C100 130 84 110 76 84 M110 158 C122 130 138 112 146 86 M110 158 V98"
        {...stem}
        strokeWidth="6"
      />
      <path d="M110 212 q10 -8 14 -20" {...stem} strokeWidth="4" />
      <Leaf x={110} y={254} side={1} />
      <Leaf x={110} y={226} side={-1} />
      <Leaf x={110} y={186} side={1} />
      <Leaf x={84} y={110} side={-1} long={46} />
      <Leaf x={138} y={112} side={1} long={46} />
      <Leaf x={110} y={112} side={-1} long={24} />
      {[
        [110, 144],
        [150, 96],
        [74, 92],
      ].map(([cx, cy]) => (
        <circle key={cx} cx={cx} cy={cy} r="5" fill="var(--flower)" stroke="var(--ink)" strokeWidth="0.8" />
      ))}
    </g>
  );
}

function Mark({ kind, x, y }: { readonly kind: CutMark['kind']; readonly x: number; readonly y: number }) {
  const ring = { cx: x, cy: y, r: 13, fill: 'none', strokeWidth: 3.4 };
  if (kind === 'cut')
    return (
      <g stroke="var(--fruit)" strokeLinecap="round">
        <circle {...ring} fill="var(--surface)" fillOpacity="0.55" />
        <path d={`M${x - 6} ${y - 6} l12 12 M${x + 6} ${y - 6} l-12 12`} strokeWidth="3.6" />
      </g>
    );
  if (kind === 'never')
    return (
      <g stroke="var(--ink)" strokeLinecap="round">
        <circle {...ring} />
        <path d={`M${x - 9} ${y + 9} L${x + 9} ${y - 9}`} strokeWidth="3.4" />
      </g>
    );
  if (kind === 'keep')
    return (
      <g stroke="var(--ink)" fill="none" strokeWidth="3.4" strokeLinecap="round">
        <circle {...ring} strokeDasharray="5 5" />
        <path d={`M${x - 6} ${y} l4 5 l8 -10`} />
      </g>
    );
  return (
    <g stroke="var(--ink)" fill="none" strokeWidth="3" strokeLinecap="round">
      <path
        d={`M${x - 16} ${y - 8} q-6 8 0 16 M${x + 16} ${y - 8} q6 8 0 16 M${x - 23} ${y - 11} q-9 11 0 22 M${x + 23} ${y - 11} q9 11 0 22`}
      />
    </g>
  );
}

/** What the marks mean, for the words beside a drawing. */
export const MARK_WORDS: Readonly<Record<CutMark['kind'], string>> = {
  cut: 'crossed ring: off',
  never: 'barred ring: never',
  keep: 'ticked ring: stays',
  shake: 'waves: shake',
};
