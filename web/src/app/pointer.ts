/** Where `part` itself stands in `whole`, as a JSON pointer; null where it is not in it. */
export function pointerTo(whole: unknown, part: object): string | null {
  if (whole === part) {
    return '';
  }
  if (typeof whole !== 'object' || whole === null) {
    return null;
  }
  for (const [key, value] of Object.entries(whole)) {
    const below = pointerTo(value, part);
    if (below !== null) {
      return `/${key.replaceAll('~', '~0').replaceAll('/', '~1')}${below}`;
    }
  }
  return null;
}
