import { Button, type ButtonProps } from '@mui/material';
import { useOnce } from './once.ts';

/** A button for what writes to the garden: a double click or a key that is held does it once. */
export function OnceButton({ onPress, ...rest }: Omit<ButtonProps, 'onClick'> & { onPress(): unknown }) {
  return <Button {...rest} onClick={useOnce(onPress)} />;
}
