import type { ReactNode } from 'react';

/** What a chart adds below its own height. */
const FOOT = 15;

/** A chart as one picture with its words. Its room is kept while it is made, so that nothing below it moves. */
export function ChartFrame({
  label,
  height,
  children,
}: {
  readonly label: string;
  readonly height: number;
  readonly children: ReactNode;
}) {
  return (
    <div role="img" aria-label={label} style={{ minHeight: height + FOOT }}>
      {children}
    </div>
  );
}
