import { Button, type ButtonProps } from '@mui/material';
import { useRef, type ChangeEvent } from 'react';

/** A button that asks for a file; the same file can be chosen twice in a row. */
export function FileButton({
  accept,
  onFile,
  children,
  ...rest
}: { readonly accept: string; onFile(file: File): void } & Omit<ButtonProps, 'onClick'>) {
  const input = useRef<HTMLInputElement>(null);
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (file) onFile(file);
  };
  return (
    <>
      <Button {...rest} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input ref={input} type="file" accept={accept} hidden onChange={choose} />
    </>
  );
}
