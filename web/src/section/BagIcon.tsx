import type { BagProperties } from '@rundel/core/garden-state';
import { outline } from '@rundel/core/bags';
import type { Range } from '@rundel/core/water';
import { useId } from 'react';
import { waterColour } from './SectionBody.tsx';

/** The bag's mark: its outline with its water, small enough for a list. It says nothing alone: words stand beside it. */
export function BagIcon({
  properties,
  water,
  plants,
  size = 48,
}: {
  readonly properties: BagProperties;
  readonly water: Range | undefined;
  /** how many stand in it */
  readonly plants: number;
  readonly size?: number;
}) {
  const id = useId();
  const points = outline(properties.real.solid, 10);
  const widest = Math.max(...points.map((p) => p.half)) * 2;
  const tall = properties.real.solid.heightMillimetres;
  const scale = Math.min(38 / widest, 27 / tall);
  const x = (half: number) => 24 + half * scale;
  // a bag that lies flat is drawn a little higher than it is, or its water could not be seen
  const rise = Math.max(scale, 15 / tall);
  const y = (z: number) => 45 - z * rise;
  const left = points.map((p) => `${x(-p.half)} ${y(p.z)}`).reverse();
  const right = points.map((p) => `${x(p.half)} ${y(p.z)}`);
  const shape = `M${left.join(' L')} L${right.join(' L')}`;
  const isClosed = properties.kind.isClosed;
  const top = y(tall);
  const level = water ? top + 3 + (45 - top - 3) * (1 - water.likely) : 45;
  const places =
    plants <= 1
      ? [24]
      : Array.from(
          { length: Math.min(4, plants) },
          (_, i) => 24 + ((i + 0.5) / Math.min(4, plants) - 0.5) * widest * scale * 0.8,
        );
  return (
    <svg
      viewBox="0 0 48 48"
      width={size}
      height={size}
      aria-hidden
      style={{ flexShrink: 0, display: 'block' }}
    >
      <clipPath id={id}>
        <path d={`${shape} Z`} />
      </clipPath>
      <path d={`${shape} Z`} fill="var(--raised)" />
      {water && (
        <g clipPath={`url(#${id})`}>
          <rect x="0" width="48" y={level} height="48" fill={waterColour(water.likely)} />
          <rect x="0" width="48" y={level - 3} height="3" fill={waterColour(water.likely)} opacity="0.4" />
        </g>
      )}
      <path
        d={`${shape}${isClosed ? ' Z' : ''}`}
        fill="none"
        stroke="var(--wall)"
        strokeWidth="2.6"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {plants > 0 &&
        places.map((cx) => (
          <g key={cx} fill="var(--leaf)">
            <path d={`M${cx} ${top + 3} V${top - 11}`} stroke="var(--leaf)" strokeWidth="2" />
            <path d={`M${cx} ${top - 4} c-6 0 -8 -3 -8.5 -7 c5 0 8 2 8.5 7 Z`} />
            <path d={`M${cx} ${top - 7} c5 0 7 -2.6 7.5 -6 c-4.5 0 -7 2 -7.5 6 Z`} />
          </g>
        ))}
    </svg>
  );
}
