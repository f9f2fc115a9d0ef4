import { Box } from '@mui/material';
import { create } from 'qrcode';
import { useMemo } from 'react';

/** Modules left white about the code: readers find it by them. */
const QUIET = 2;

/** A text as a QR code, drawn as one path so that it prints sharp at any size. */
export function QrCode({
  text,
  size,
  title,
}: {
  readonly text: string;
  readonly size: number | string;
  readonly title: string;
}) {
  const { path, side } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const dark: string[] = [];
    for (let y = 0; y < modules.size; y++)
      for (let x = 0; x < modules.size; x++)
        if (modules.get(y, x)) dark.push(`M${x + QUIET} ${y + QUIET}h1v1h-1z`);
    return { path: dark.join(''), side: modules.size + 2 * QUIET };
  }, [text]);
  return (
    <Box
      component="svg"
      role="img"
      aria-label={title}
      viewBox={`0 0 ${side} ${side}`}
      shapeRendering="crispEdges"
      sx={{ width: size, height: size, flexShrink: 0, display: 'block', backgroundColor: '#ffffff' }}
    >
      <path d={path} fill="#000000" />
    </Box>
  );
}
