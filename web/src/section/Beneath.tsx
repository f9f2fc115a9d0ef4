import type { Drawing } from './layout.ts';
import type { Scene } from './scene.ts';

/** What lies under the mix, to scale: a reservoir with its pipe, a channel, or the soil of an open base. */
export function Beneath({ scene, drawing }: { readonly scene: Scene; readonly drawing: Drawing }) {
  const { px, py } = drawing;
  const { under } = scene;
  if (scene.drainage === 'open-base' && !under) return <Soil scene={scene} drawing={drawing} />;
  if (!under) return null;
  const half = under.widthMillimetres / 2;
  const top = py(0);
  const ground = py(-scene.floorMillimetres);
  // the overflow keeps a reservoir from filling to the mix; a level that is not known is drawn as usual
  const most = under.kind === 'reservoir' ? 0.92 : 0.8;
  const at = (share: number) => ground + (top - ground) * most * share;
  const surface = scene.level
    ? at(scene.level.likely)
    : ground + (top - ground) * (under.kind === 'reservoir' ? 0.86 : 0.5);
  const pipe = under.pipeMillimetres;
  return (
    <g data-part={under.kind}>
      <rect
        x={px(-half)}
        y={surface}
        width={px(half) - px(-half)}
        height={ground - surface}
        fill="var(--water-5)"
        opacity="0.55"
      />
      {scene.level && (
        <rect
          x={px(-half)}
          y={at(scene.level.high)}
          width={px(half) - px(-half)}
          height={at(scene.level.low) - at(scene.level.high)}
          fill="var(--water-4)"
          opacity="0.35"
        />
      )}
      <line x1={px(-half)} x2={px(half)} y1={surface} y2={surface} stroke="var(--surface)" strokeWidth="2" />
      <path
        d={`M${px(-half)} ${top} V${ground} H${px(half)} V${top}`}
        fill="none"
        stroke="var(--wall)"
        strokeWidth="5"
        strokeLinejoin="round"
      />
      {under.kind === 'reservoir' && (
        <line
          x1={px(-half)}
          x2={px(half)}
          y1={top}
          y2={top}
          stroke="var(--wall)"
          strokeWidth="3"
          strokeDasharray="9 5"
        />
      )}
      {pipe !== undefined && (
        <path
          d={`M${px(half * 0.86)} ${py(pipe - scene.floorMillimetres)} V${ground - 6}`}
          stroke="var(--muted)"
          strokeWidth="7"
          fill="none"
        />
      )}
    </g>
  );
}

/** The ground under an open base, with roots that go down. */
function Soil({ scene, drawing }: { readonly scene: Scene; readonly drawing: Drawing }) {
  const { px, py } = drawing;
  const half = scene.outline[0]?.half ?? scene.halfWidest;
  const strokes = [-0.8, -0.45, -0.1, 0.25, 0.6];
  return (
    <g data-part="soil" stroke="var(--mulch)" strokeWidth="1.6" fill="none">
      {strokes.map((at) => (
        <path key={at} d={`M${px(half * at)} ${py(0)} q4 8 -2 13 q-4 4 2 8`} />
      ))}
    </g>
  );
}

/** Where water that is too much leaves: holes in the base, slits or holes up the side. */
export function Holes({ scene, drawing }: { readonly scene: Scene; readonly drawing: Drawing }) {
  const { px, py, halfAt } = drawing;
  const { drainage, holeMillimetres } = scene;
  if (drainage !== 'base-holes' && drainage !== 'slits' && drainage !== 'overflow') return null;
  const z = drainage === 'overflow' ? -4 : holeMillimetres;
  if (drainage === 'base-holes' && z <= 0) {
    const half = scene.outline[0]?.half ?? 0;
    return (
      <g data-part="holes" stroke="var(--surface)" strokeWidth="6">
        {[-0.6, 0, 0.6].map((at) => (
          <line key={at} x1={px(half * at) - 4} x2={px(half * at) + 4} y1={py(0)} y2={py(0)} />
        ))}
      </g>
    );
  }
  const half = halfAt(Math.max(z, 12));
  const y = py(Math.max(z, drainage === 'slits' ? 18 : z));
  return (
    <g data-part="holes">
      {[-half, half].map((x) => (
        <g key={x}>
          <circle cx={px(x)} cy={y} r="4.2" fill="var(--surface)" stroke="var(--wall)" strokeWidth="1.8" />
        </g>
      ))}
    </g>
  );
}
