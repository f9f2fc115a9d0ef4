/** Gives the grower a file of text. */
export function download(name: string, text: string, type: string): void {
  downloadBlob(name, new Blob([text], { type }));
}

/** Gives the grower a file. */
export function downloadBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
