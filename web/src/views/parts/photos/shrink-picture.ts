/** The largest file that is taken, bytes: more is no photo of a phone. */
const MOST_BYTES = 30_000_000;
/** Longest side of a picture that is kept, px: enough to read a scale or a label. */
const LONGEST_SIDE = 1600;
const QUALITY = 0.82;

/** The size a picture is kept in: no side longer than it may be, none enlarged. */
export function keptSize(width: number, height: number): { width: number; height: number } {
  const scale = Math.min(1, LONGEST_SIDE / Math.max(width, height));
  return {
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
  };
}

/**
 * A picture small enough to keep, as JPEG and turned the way it was taken, or why it cannot be, in a sentence. What
 * a camera notes in a file besides the picture, such as where it was, is left out.
 */
export async function shrinkPicture(file: File): Promise<Uint8Array | string> {
  if (file.size > MOST_BYTES) {
    return `${file.name} is ${Math.round(file.size / 1e6)} MB; a photo can be at most ${MOST_BYTES / 1e6} MB. Crop it, or take it at a lower resolution.`;
  }
  const unreadable = `${file.name} is not a picture this browser can read. Save it as JPEG or PNG first.`;
  const bitmap = await createImageBitmap(file).catch(() => null);
  if (!bitmap) return unreadable;
  const canvas = document.createElement('canvas');
  Object.assign(canvas, keptSize(bitmap.width, bitmap.height));
  const context = canvas.getContext('2d');
  if (!context) return unreadable;
  // JPEG has no see-through parts: they would turn black.
  context.fillStyle = 'white';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  const blob = await new Promise<Blob | null>((resolve) =>
    canvas.toBlob(resolve, 'image/jpeg', QUALITY),
  );
  return blob ? new Uint8Array(await blob.arrayBuffer()) : unreadable;
}
