/** Hands the browser a file to save: text, or bytes. */
export function saveFile(name: string, content: string | Uint8Array, type: string): void {
  const part = typeof content === 'string' ? content : new Uint8Array(content);
  saveBlob(name, new Blob([part], { type }));
}

export function saveBlob(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}
