import type { Drawing } from './layout.ts';
import type { Scene } from './scene.ts';

/** What holds the plants up, to scale. A cage has a half behind the plant and a half before it. */
export function Support({
  scene,
  drawing,
  isBehind = false,
}: {
  readonly scene: Scene;
  readonly drawing: Drawing;
  readonly isBehind?: boolean;
}) {
  const { px, py } = drawing;
  const { kind, heightMillimetres } = scene.support;
  if (kind === 'none' || heightMillimetres <= 0) return null;
  const top = py(heightMillimetres);
  const strung = scene.plants.length > 0 ? scene.plants.map((p) => p.x) : [0];
  if (kind === 'string') {
    if (!isBehind) return null;
    return (
      <g data-part="support" stroke="var(--ink)">
        <line
          x1={px(-scene.halfWidest) - 12}
          x2={px(scene.halfWidest) + 12}
          y1={top}
          y2={top}
          strokeWidth="2.5"
        />
        {strung.map((x) => (
          <line
            key={x}
            x1={px(x)}
            x2={px(x)}
            y1={top}
            y2={py(scene.mixTop)}
            strokeWidth="1.4"
            strokeDasharray="5 4"
            opacity="0.8"
          />
        ))}
      </g>
    );
  }
  if (kind === 'stake') {
    if (!isBehind) return null;
    return (
      <g data-part="support">
        {strung.map((x) => (
          <line
            key={x}
            x1={px(x) + 8}
            x2={px(x) + 8}
            y1={top}
            y2={py(30)}
            stroke="var(--mulch)"
            strokeWidth="5"
            strokeLinecap="round"
          />
        ))}
        {strung.map((x) => (
          <circle
            key={x}
            cx={px(x) + 8}
            cy={top}
            r="4.5"
            fill="var(--flower)"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
        ))}
      </g>
    );
  }
  const half = Math.min(scene.halfWidest * 0.8, 230);
  if (kind === 'canes') {
    const feet = isBehind ? [-half, half] : [half * 0.25];
    return (
      <g data-part="support" stroke="var(--mulch)" strokeWidth="4" strokeLinecap="round">
        {feet.map((foot) => (
          <line key={foot} x1={px(foot)} y1={py(40)} x2={px(foot * 0.05)} y2={top} />
        ))}
        {isBehind && (
          <circle cx={px(0)} cy={top} r="4.5" fill="var(--flower)" stroke="var(--ink)" strokeWidth="1.2" />
        )}
      </g>
    );
  }
  const base = scene.mixTop;
  const rings = Math.max(3, Math.round((heightMillimetres - base) / 300));
  return (
    <g
      data-part="support"
      stroke="var(--muted)"
      fill="none"
      strokeWidth="1.8"
      opacity={isBehind ? 0.55 : 0.9}
    >
      {Array.from({ length: rings }, (_, i) => {
        const y = py(base + ((heightMillimetres - base) * (i + 1)) / rings);
        const bow = isBehind ? -6 : 6;
        return <path key={i} d={`M${px(-half)} ${y} Q${px(0)} ${y + bow} ${px(half)} ${y}`} />;
      })}
      {(isBehind ? [-half, half] : [-half * 0.45, half * 0.45]).map((x) => (
        <line key={x} x1={px(x)} x2={px(x)} y1={top} y2={py(base - 60)} />
      ))}
    </g>
  );
}
