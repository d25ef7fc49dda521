/** A picture is kept at this many pixels at most along its longer side: enough to see what it shows. */
const LONGEST = 1600;
const QUALITY = 0.8;
const SMALL_BYTES = 300_000;

/** The picture as JPEG, made smaller where it is large; unread where this browser cannot read it, for the server to say so. */
export async function smaller(file: File): Promise<Blob> {
  if (file.type === 'image/jpeg' && file.size <= SMALL_BYTES) {
    return file;
  }
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) {
    return new Blob([file], { type: 'image/jpeg' });
  }
  const scale = Math.min(1, LONGEST / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => {
    canvas.toBlob((blob) => resolve(blob ?? file), 'image/jpeg', QUALITY);
  });
}
