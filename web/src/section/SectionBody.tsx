import { fingerGradeOf } from '@rundel/core/water';
import { useId } from 'react';
import type { Drawing } from './layout.ts';
import { Beneath, Holes } from './Beneath.tsx';
import { Buried } from './Buried.tsx';
import { Companions } from './Companions.tsx';
import { Plant } from './Plant.tsx';
import type { Scene } from './scene.ts';
import { Support } from './Support.tsx';

const WALL_WIDTH: Record<Scene['wall'], number> = { film: 3, fabric: 5.5, plastic: 5.5, boards: 9 };

/** Water's colour by its grade, straw to slate blue. */
export function waterColour(share: number): string {
  return `var(--water-${fingerGradeOf(share)})`;
}

/** The bag itself, to scale: mix, waterline band, mulch, what is buried, walls, plants and what holds them. */
export function SectionBody({ scene, drawing }: { readonly scene: Scene; readonly drawing: Drawing }) {
  const id = useId();
  const { scale, px, py, inside, wall, width, height } = drawing;
  const { water, plants } = scene;
  return (
    <>
      <defs>
        <clipPath id={`${id}in`}>
          <path d={inside} />
        </clipPath>
        <pattern id={`${id}fleck`} width="23" height="19" patternUnits="userSpaceOnUse">
          <circle cx="4" cy="5" r="1.3" fill="var(--mix-fleck)" opacity="0.6" />
          <circle cx="15" cy="12" r="1" fill="var(--mix-fleck)" opacity="0.5" />
          <circle cx="20" cy="3" r="0.8" fill="var(--mix-fleck)" opacity="0.7" />
          <circle cx="9" cy="16" r="0.7" fill="var(--mix-fleck)" opacity="0.6" />
        </pattern>
        <pattern
          id={`${id}band`}
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(40)"
        >
          <rect width="7" height="7" fill={waterColour(water?.share.likely ?? 0)} opacity="0.34" />
          <line
            x1="0"
            y1="0"
            x2="0"
            y2="7"
            stroke={waterColour(water?.share.likely ?? 0)}
            strokeWidth="2.4"
          />
        </pattern>
        <pattern id={`${id}straw`} width="18" height="9" patternUnits="userSpaceOnUse">
          <path d="M1 7 L8 2 M9 8 L17 5 M11 2 L15 1" stroke="var(--wall)" strokeWidth="0.9" opacity="0.4" />
        </pattern>
      </defs>
      <Beneath scene={scene} drawing={drawing} />
      <Support scene={scene} drawing={drawing} isBehind />
      <g clipPath={`url(#${id}in)`}>
        <rect x="0" y={py(scene.mixTop)} width={width} height={height} fill="var(--mix)" />
        <rect x="0" y={py(scene.mixTop)} width={width} height={height} fill={`url(#${id}fleck)`} />
        {scene.layers.slice(0, -1).map(({ to, from }, i) => (
          <g key={from} data-part="layer">
            <rect
              x="0"
              y={py(to)}
              width={width}
              height={(to - from) * scale}
              fill="var(--mulch)"
              opacity={0.3 + 0.15 * i}
            />
            <line
              x1="0"
              x2={width}
              y1={py(to)}
              y2={py(to)}
              stroke="var(--mix-fleck)"
              strokeWidth="2"
              strokeDasharray="1 5"
              strokeLinecap="round"
            />
          </g>
        ))}
        {water && (
          <>
            <rect
              data-part="water"
              x="0"
              width={width}
              height={height}
              y={py(water.low)}
              fill={waterColour(water.share.likely)}
              opacity="0.62"
              style={{ transition: 'y 700ms ease' }}
            />
            <rect
              data-part="band"
              x="0"
              width={width}
              y={py(water.high)}
              height={Math.max(1, (water.high - water.low) * scale)}
              fill={`url(#${id}band)`}
              style={{ transition: 'y 700ms ease, height 700ms ease' }}
            />
            <rect
              data-part="waterline"
              x="0"
              width={width}
              y={py(water.likely) - 1.5}
              height="3"
              fill="#ffffff"
              style={{ transition: 'y 700ms ease' }}
            />
          </>
        )}
        {scene.mulchTop > scene.mixTop && (
          <>
            <rect
              x="0"
              y={py(scene.mulchTop)}
              width={width}
              height={(scene.mulchTop - scene.mixTop) * scale}
              fill="var(--mulch)"
            />
            <rect
              x="0"
              y={py(scene.mulchTop)}
              width={width}
              height={(scene.mulchTop - scene.mixTop) * scale}
              fill={`url(#${id}straw)`}
            />
          </>
        )}
      </g>
      {plants.map((plant) => (
        <Buried key={plant.seed} plant={plant} drawing={drawing} mixTop={scene.mixTop} fleck={`${id}fleck`} />
      ))}
      <path
        d={wall}
        fill="none"
        stroke="var(--wall)"
        strokeLinejoin="round"
        strokeLinecap="round"
        strokeWidth={WALL_WIDTH[scene.wall]}
      />
      {scene.rings.map(({ x, half, from, to }) => (
        <g key={x} data-part="ring" stroke="var(--wall)" strokeWidth="4.5" strokeLinecap="round">
          <line x1={px(x - half)} x2={px(x - half)} y1={py(from)} y2={py(to)} />
          <line x1={px(x + half)} x2={px(x + half)} y1={py(from)} y2={py(to)} />
        </g>
      ))}
      <Holes scene={scene} drawing={drawing} />
      {scene.wall === 'fabric' && (
        <path
          d={wall}
          fill="none"
          stroke="var(--surface)"
          strokeWidth="1.4"
          strokeDasharray="2 3.5"
          opacity="0.75"
        />
      )}
      <Companions scene={scene} drawing={drawing} />
      {plants.map((plant) => (
        <Plant key={plant.seed} plant={plant} x={px(plant.x)} base={py(plant.surface)} scale={scale} />
      ))}
      <Support scene={scene} drawing={drawing} />
    </>
  );
}
