/** What was typed in a dialog and not sent: it is still there when the dialog opens again. */

interface Kept {
  base: unknown;
  draft: unknown;
}

const kept = new Map<string, Kept>();

const isPlain = (v: unknown): v is Record<string, unknown> =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

/**
 * A draft on ground that changed meanwhile: what was typed stays, and what was left alone is as it is now.
 *
 * @param base what the draft began from; {@code now} what is there now
 */
export function carried(base: unknown, draft: unknown, now: unknown): unknown {
  if (isPlain(base) && isPlain(draft) && isPlain(now)) {
    const keys = new Set([...Object.keys(now), ...Object.keys(draft)]);
    return Object.fromEntries(
      [...keys]
        .map((k) => [k, carried(base[k], draft[k], now[k])] as const)
        .filter(([, v]) => v !== undefined),
    );
  }
  return JSON.stringify(base) === JSON.stringify(draft) ? now : draft;
}

/** What a dialog begins with, and whether some of it was typed before. */
export function begun<T>(key: string, now: T): { value: T; again: boolean } {
  const was = kept.get(key);
  const value = was ? carried(was.base, was.draft, now) : now;
  return { value: structuredClone(value) as T, again: was !== undefined };
}

/** Keeps a draft that was not sent; one that says nothing new is forgotten. */
export function keep(key: string, base: unknown, draft: unknown): void {
  if (JSON.stringify(base) === JSON.stringify(draft)) {
    kept.delete(key);
  } else {
    kept.set(key, { base: structuredClone(base), draft: structuredClone(draft) });
  }
}

/** It was sent, or is not wanted any more. */
export const forget = (key: string): void => void kept.delete(key);
