import { Box, Typography } from '@mui/material';
import jsQR from 'jsqr';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useGarden } from '../../store/index.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { Remark } from '../../ui/Remark.tsx';
import { bagOfCode } from './bag-of-code.ts';

/** A code is looked for so often, ms: a hand holds still for longer. */
const LOOKED_EVERY = 180;
/** A picture's longer side for looking, pixels: more takes longer and finds no more. */
const LONGER_SIDE = 900;

/** Opens a bag by the code on its label: by the camera, or in a picture of it. */
export default function ScanPage() {
  const { garden } = useGarden();
  const navigate = useNavigate();
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string>();
  const [isSeeing, setSeeing] = useState(false);
  const take = useCallback(
    (text: string): boolean => {
      const containerId = bagOfCode(text);
      if (containerId === undefined) setProblem('That code is none of a bag here.');
      else if (!garden.containers.some(({ id }) => id === containerId))
        setProblem('That label is of a bag that is not in this garden. Perhaps it is in the other one.');
      else {
        void navigate(`/round/${containerId}`);
        return true;
      }
      return false;
    },
    [garden.containers, navigate],
  );
  useEffect(() => {
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    let isGone = false;
    const start = async () => {
      // not there on an address that is not a safe one
      const media = navigator.mediaDevices as MediaDevices | undefined;
      stream = await media?.getUserMedia({ video: { facingMode: 'environment' } }).catch(() => undefined);
      const screen = video.current;
      if (!stream || !screen || isGone) {
        for (const track of stream?.getTracks() ?? []) track.stop();
        if (!isGone) setProblem('The camera is not to be had here. A picture of the label does as well.');
        return;
      }
      screen.srcObject = stream;
      await screen.play().catch(() => undefined);
      setSeeing(true);
      timer = setInterval(() => {
        const text = codeIn(screen, screen.videoWidth, screen.videoHeight);
        if (text !== undefined && take(text)) clearInterval(timer);
      }, LOOKED_EVERY);
    };
    void start();
    return () => {
      isGone = true;
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [take]);
  const look = async (file: File) => {
    const picture = await createImageBitmap(file).catch(() => undefined);
    const text = picture && codeIn(picture, picture.width, picture.height);
    if (!picture) setProblem('This browser cannot read it as a picture.');
    else if (text === undefined)
      setProblem('I find no code in that picture. Nearer, and straight from above?');
    else take(text);
  };
  return (
    <Page
      title="Scan a label"
      lead="Hold the code on a bag’s label before the camera: its stop opens."
      width={720}
    >
      <Panel title="Camera">
        <Box
          component="video"
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          sx={{
            width: '100%',
            maxHeight: '56vh',
            borderRadius: '10px',
            backgroundColor: 'var(--soil)',
            display: isSeeing ? 'block' : 'none',
          }}
        />
        {problem && <Remark role="alert">{problem}</Remark>}
        <FileButton
          accept="image/*"
          capture="environment"
          variant="outlined"
          onFile={(file) => void look(file)}
        >
          Take a picture of the label
        </FileButton>
        <Typography sx={{ color: 'text.secondary', marginBlockStart: 1 }}>
          Labels with codes are printed under Files, On paper. What the camera sees stays on this device.
        </Typography>
      </Panel>
    </Page>
  );
}

/** The text of a QR code in a picture; undefined where there is none. */
function codeIn(picture: CanvasImageSource, width: number, height: number): string | undefined {
  if (width === 0 || height === 0) return undefined;
  const by = Math.min(1, LONGER_SIDE / Math.max(width, height));
  const [w, h] = [Math.round(width * by), Math.round(height * by)];
  const canvas = document.createElement('canvas');
  canvas.width = w;
  canvas.height = h;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(picture, 0, 0, w, h);
  const { data } = context.getImageData(0, 0, w, h);
  return jsQR(data, w, h)?.data;
}
