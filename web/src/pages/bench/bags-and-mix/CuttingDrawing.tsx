import type { CuttingPlan, SleeveOrder } from '@rundel/core/bags';
import { useId } from 'react';
import { useUnitFormat } from '../../../store/index.ts';

const WIDE = 620;
const MARGIN = { left: 64, right: 12, top: 26, bottom: 34 };
/** Rows drawn before the roll is broken off. */
const MOST_ROWS = 8;

/** The film rolled out, to scale: rows of pieces along it, numbered, with what is wasted hatched. */
export function CuttingDrawing({ order, plan }: { readonly order: SleeveOrder; readonly plan: CuttingPlan }) {
  const unitFormat = useUnitFormat();
  const id = useId();
  const rows = Math.min(plan.rows, MOST_ROWS);
  const isBroken = plan.rows > MOST_ROWS;
  const long = rows * order.stripMillimetres;
  const scale = Math.min((WIDE - MARGIN.left - MARGIN.right) / long, 190 / order.filmWidthMillimetres);
  const high = order.filmWidthMillimetres * scale;
  const strip = order.stripMillimetres * scale;
  const piece = plan.pieceMillimetres * scale;
  const height = MARGIN.top + high + MARGIN.bottom;
  const width = MARGIN.left + long * scale + MARGIN.right + (isBroken ? 24 : 0);
  const left = MARGIN.left;
  const top = MARGIN.top;
  return (
    <svg
      viewBox={`0 0 ${Math.max(width, 420)} ${height}`}
      width="100%"
      style={{ maxWidth: Math.max(width, 420), display: 'block' }}
      role="img"
      aria-label={`The film to scale: ${plan.across} across, ${plan.rows} rows of ${unitFormat.show(order.stripMillimetres, 'size')}`}
      fontFamily="inherit"
    >
      <defs>
        <pattern
          id={`${id}waste`}
          width="8"
          height="8"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="8" height="8" fill="var(--raised)" />
          <line x1="0" x2="0" y1="0" y2="8" stroke="var(--muted)" strokeWidth="2" />
        </pattern>
      </defs>
      <rect
        x={left}
        y={top}
        width={long * scale}
        height={high}
        fill={`url(#${id}waste)`}
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {Array.from({ length: rows }, (_, row) =>
        Array.from({ length: plan.across }, (_unused, across) => {
          const number = row * plan.across + across + 1;
          if (number > order.count) return null;
          const x = left + row * strip;
          const y = top + across * piece;
          return (
            <g key={number}>
              <rect
                x={x}
                y={y}
                width={strip}
                height={piece}
                fill="var(--surface)"
                stroke="var(--ink)"
                strokeWidth="1.5"
              />
              {order.film === 'flat' && (
                <line
                  x1={x}
                  x2={x + strip}
                  y1={y + piece - order.seamMillimetres * scale}
                  y2={y + piece - order.seamMillimetres * scale}
                  stroke="var(--action)"
                  strokeDasharray="4 3"
                />
              )}
              {order.isBaseSealed && (
                <line
                  x1={x + strip - order.seamMillimetres * scale}
                  x2={x + strip - order.seamMillimetres * scale}
                  y1={y}
                  y2={y + piece}
                  stroke="var(--action)"
                  strokeDasharray="4 3"
                />
              )}
              {strip > 18 && piece > 14 && (
                <text
                  x={x + strip / 2}
                  y={y + piece / 2 + 5}
                  textAnchor="middle"
                  fontSize="14"
                  fontWeight="700"
                  fill="var(--ink)"
                >
                  {number}
                </text>
              )}
            </g>
          );
        }),
      )}
      {isBroken && (
        <text
          x={left + long * scale + 8}
          y={top + high / 2 + 6}
          fontSize="18"
          fontWeight="700"
          fill="var(--ink)"
        >
          …
        </text>
      )}
      <text
        x={left - 8}
        y={top + high / 2 + 4}
        textAnchor="end"
        fontSize="13"
        fontWeight="700"
        fill="var(--ink)"
      >
        {unitFormat.show(order.filmWidthMillimetres, 'size')}
      </text>
      <text
        x={left + strip / 2}
        y={top - 8}
        textAnchor="middle"
        fontSize="13"
        fontWeight="700"
        fill="var(--ink)"
      >
        {unitFormat.show(order.stripMillimetres, 'size')}
      </text>
      <text x={left} y={top + high + 20} fontSize="12" fill="var(--muted)">
        Cut along the lines; dashed: seam. Hatched: waste.
      </text>
    </svg>
  );
}
