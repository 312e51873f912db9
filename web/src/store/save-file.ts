/** Hands the browser a file to save: text, or bytes. */
export function saveFile(name: string, content: string | Uint8Array, type: string): void {
  const part = typeof content === 'string' ? content : new Uint8Array(content);
  const address = URL.createObjectURL(new Blob([part], { type }));
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
