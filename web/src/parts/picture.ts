/** A page is kept at this many, so that it can be read. */
const LONGEST_PAGE = 4000;
/** Of a document, bytes. */
const MOST_BYTES = 10_000_000;

/** A picture is kept at this many pixels at most along its longer side: enough to see what it shows. */
const LONGEST = 1600;
const QUALITY = 0.8;
const SMALL_BYTES = 300_000;

/** The picture as JPEG, made smaller where it is large; unread where this browser cannot read it, for the server to say so. */
export async function smaller(file: File): Promise<Blob> {
  return file.type === 'image/jpeg' && file.size <= SMALL_BYTES ? file : drawn(file, LONGEST);
}

/** A document as it is; a picture of one that is too large, or of a kind that is not kept, as a JPEG that can still be read. */
export async function paper(file: File): Promise<Blob> {
  const kept = file.size <= MOST_BYTES && /^(image\/(jpeg|png)|application\/pdf)$/.test(file.type);
  if (kept) {
    return file;
  }
  return file.type.startsWith('image/')
    ? drawn(file, LONGEST_PAGE)
    : new Blob([file], { type: 'application/pdf' });
}

async function drawn(file: File, longest: number): Promise<Blob> {
  const image = await createImageBitmap(file).catch(() => null);
  if (!image) {
    return new Blob([file], { type: 'image/jpeg' });
  }
  const scale = Math.min(1, longest / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => {
    canvas.toBlob((blob) => resolve(blob ?? file), 'image/jpeg', QUALITY);
  });
}
