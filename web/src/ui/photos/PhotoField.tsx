import { Box, IconButton, Typography } from '@mui/material';
import { IconCamera, IconPhoto, IconX } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { useAddPhotos } from '../../store/index.ts';
import { FileButton } from '../FileButton.tsx';
import { Photo } from './Photo.tsx';

const PICTURES = 'image/jpeg,image/png,image/webp,image/*';
/** As many as an entry can name. */
const MOST = 12;

/** A form's photographs: what is shown, and what the entry says of them. */
export interface Photos {
  readonly field: ReactNode;
  readonly ids: readonly string[];
  readonly facts: { readonly photoIds?: readonly string[] | undefined };
}

/**
 * A form's field for photographs, by the camera or from a file.
 *
 * @param start those that the entry has already
 * @param onAdded hears that there is one
 */
export function usePhotos(start: readonly string[] = [], onAdded?: () => void): Photos {
  const [ids, setIds] = useState(start);
  const [problem, setProblem] = useState<string>();
  const [isBusy, setBusy] = useState(false);
  const add = useAddPhotos();
  const take = async (files: readonly File[]) => {
    setBusy(true);
    setProblem(undefined);
    try {
      const added = await add(files.slice(0, MOST - ids.length));
      setIds((before) => [...before, ...added]);
      onAdded?.();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  const field = (
    <Box>
      {ids.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', marginBlockEnd: 1 }}>
          {ids.map((id, i) => (
            <Box key={id} sx={{ position: 'relative' }}>
              <Photo photoId={id} alt={`Photograph ${i + 1}`} height={84} />
              <IconButton
                aria-label={`Take photograph ${i + 1} away`}
                onClick={() => setIds((before) => before.filter((other) => other !== id))}
                sx={{
                  position: 'absolute',
                  insetBlockStart: -8,
                  insetInlineEnd: -8,
                  width: 44,
                  height: 44,
                  '& svg': {
                    backgroundColor: 'var(--raised)',
                    borderRadius: '50%',
                    border: '1px solid var(--line)',
                  },
                }}
              >
                <IconX size={22} aria-hidden />
              </IconButton>
            </Box>
          ))}
        </Box>
      )}
      {ids.length < MOST && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <FileButton
            accept={PICTURES}
            capture="environment"
            onFiles={(files) => void take(files)}
            startIcon={<IconCamera aria-hidden />}
            disabled={isBusy}
          >
            {isBusy ? 'One moment…' : 'Photograph'}
          </FileButton>
          <FileButton
            accept={PICTURES}
            multiple
            onFiles={(files) => void take(files)}
            startIcon={<IconPhoto aria-hidden />}
            disabled={isBusy}
          >
            From files
          </FileButton>
        </Box>
      )}
      {problem && (
        <Typography role="alert" sx={{ color: 'error.main', fontSize: '0.9rem' }}>
          {problem}
        </Typography>
      )}
    </Box>
  );
  return { field, ids, facts: { photoIds: ids.length > 0 ? ids : undefined } };
}
