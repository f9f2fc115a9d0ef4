import { Box, Typography } from '@mui/material';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useGarden } from '../../store/index.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { Page, Panel } from '../../ui/Page.tsx';
import { Remark } from '../../ui/Remark.tsx';
import { codeReader } from '../../workers/scan.ts';
import { bagOfCode } from './bag-of-code.ts';

/** A code is looked for so often, ms: a hand holds still for longer. */
const LOOKED_EVERY = 180;

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
    let isLooking = false;
    const reader = codeReader();
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
        if (isLooking) return;
        isLooking = true;
        // before its first frame a video shows nothing
        const looked = reader.codeIn(screen).catch(() => undefined);
        void looked.then((text) => {
          isLooking = false;
          if (!isGone && text !== undefined && take(text)) clearInterval(timer);
        });
      }, LOOKED_EVERY);
    };
    void start();
    return () => {
      isGone = true;
      clearInterval(timer);
      reader.close();
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
  }, [take]);
  const look = async (file: File) => {
    const reader = codeReader();
    try {
      const text = await reader.codeIn(file);
      if (text === undefined) setProblem('I find no code in that picture. Nearer, and straight from above?');
      else take(text);
    } catch {
      setProblem('This browser cannot read it as a picture.');
    } finally {
      reader.close();
    }
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
