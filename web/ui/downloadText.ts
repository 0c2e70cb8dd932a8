/** Hands a file to the browser's own download; nothing leaves this machine. */
export function downloadBlob(name: string, blob: Blob): void {
  const address = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The download has taken its own reference by then.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

export const downloadText = (name: string, type: string, text: string): void =>
  downloadBlob(name, new Blob([text], { type }));
