import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Drawing } from './layout.ts';

/** Something in the drawing that can be dragged up and down, or moved with the arrow keys. Heights in mm. */
export interface SectionHandle {
  readonly id: string;
  readonly label: string;
  readonly z: number;
  readonly low: number;
  readonly high: number;
  /** what the height means, in words: "15 cm of stem under" */
  readonly text: string;
  /** whether it stands at the left or the right of the bag */
  readonly side: 'left' | 'right';
  onMove(z: number): void;
}

const STEP = 5;
const BIG_STEP = 20;
/** A thumb's width, px of the drawing. */
const REACH = 24;

/** A handle: a slider for keyboards and screen readers, a grip for pointers. */
export function Handle({
  handle,
  drawing,
  x,
}: {
  readonly handle: SectionHandle;
  readonly drawing: Drawing;
  /** middle of the grip, px */
  readonly x: number;
}) {
  const isHeld = useRef(false);
  const { low, high, z, onMove } = handle;
  const y = drawing.py(z);
  const move = (to: number) => onMove(Math.round(Math.min(high, Math.max(low, to))));
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.shiftKey ? BIG_STEP : STEP;
    const steps: Partial<Record<string, number>> = {
      ArrowUp: z + step,
      ArrowRight: z + step,
      ArrowDown: z - step,
      ArrowLeft: z - step,
      PageUp: z + BIG_STEP,
      PageDown: z - BIG_STEP,
      Home: low,
      End: high,
    };
    const to = steps[event.key];
    if (to === undefined) return;
    event.preventDefault();
    move(to);
  };
  const onPointer = (event: PointerEvent<SVGGElement>) => {
    if (!isHeld.current) return;
    const matrix = event.currentTarget.ownerSVGElement?.getScreenCTM();
    if (!matrix) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    // py is linear: one millimetre up is `scale` pixels up
    move(z + (y - at.y) / drawing.scale);
  };
  const release = () => {
    isHeld.current = false;
  };
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-orientation="vertical"
      aria-valuemin={Math.round(low)}
      aria-valuemax={Math.round(high)}
      aria-valuenow={Math.round(z)}
      aria-valuetext={handle.text}
      data-handle={handle.id}
      className="section-handle"
      style={{ cursor: 'ns-resize', touchAction: 'none' }}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        isHeld.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
        event.currentTarget.focus();
      }}
      onPointerMove={onPointer}
      onPointerUp={release}
      onPointerCancel={release}
    >
      <rect x={x - REACH} y={y - REACH} width={2 * REACH} height={2 * REACH} fill="transparent" />
      <rect
        x={x - 17}
        y={y - 11}
        width="34"
        height="22"
        rx="6"
        fill="var(--action)"
        stroke="var(--surface)"
        strokeWidth="2"
      />
      <path
        d={`M${x - 4} ${y - 2} l4 -4 l4 4 M${x - 4} ${y + 2} l4 4 l4 -4`}
        fill="none"
        stroke="var(--on-action, #fff)"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </g>
  );
}
