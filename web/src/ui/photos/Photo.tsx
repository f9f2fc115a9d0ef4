import { Box } from '@mui/material';
import { usePhotoUrl } from '../../store/index.ts';

/** A photograph; a frame with a word where it is not on this device. */
export function Photo({
  photoId,
  alt,
  height,
}: {
  readonly photoId: string;
  readonly alt: string;
  /** CSS height; its width follows, and no more than its place */
  readonly height: number | string;
}) {
  const url = usePhotoUrl(photoId);
  if (url)
    return (
      <Box
        component="img"
        src={url}
        alt={alt}
        sx={{ height, maxWidth: '100%', objectFit: 'contain', display: 'block', borderRadius: '8px' }}
      />
    );
  return (
    <Box
      sx={{
        height,
        width: height,
        maxWidth: '100%',
        display: 'grid',
        placeItems: 'center',
        textAlign: 'center',
        fontSize: '0.8rem',
        color: 'text.secondary',
        border: '1px dashed var(--line)',
        borderRadius: '8px',
      }}
    >
      {url === null ? 'Not on this device' : ''}
    </Box>
  );
}
