/** Hands a file to the browser's own download; nothing leaves this machine. */
export function downloadText(name: string, type: string, text: string): void {
  const address = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  // The download has taken its own reference by then.
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
