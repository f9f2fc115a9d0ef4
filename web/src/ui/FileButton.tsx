import { Button, type ButtonProps } from '@mui/material';
import { useRef, type ChangeEvent } from 'react';

/** A button that asks for a file or several; the same file can be chosen twice in a row. */
export function FileButton({
  accept,
  onFile,
  onFiles = ([file]) => file && onFile?.(file),
  multiple = false,
  capture,
  children,
  ...rest
}: {
  readonly accept: string;
  onFile?(file: File): void;
  onFiles?(files: readonly File[]): void;
  readonly multiple?: boolean;
  /** a phone opens its camera for it */
  readonly capture?: 'environment';
} & Omit<ButtonProps, 'onClick'>) {
  const input = useRef<HTMLInputElement>(null);
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    // the list is emptied with the field
    const files = [...(event.target.files ?? [])];
    event.target.value = '';
    if (files.length > 0) onFiles(files);
  };
  return (
    <>
      <Button {...rest} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        multiple={multiple}
        {...(capture ? { capture } : {})}
        hidden
        onChange={choose}
      />
    </>
  );
}
