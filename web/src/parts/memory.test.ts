import { afterEach, expect, it, vi } from 'vitest';
import { forget, remember, remembered } from './memory';

afterEach(() => void vi.unstubAllGlobals());

it('remembers, and forgets', () => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => void kept.set(key, text),
    removeItem: (key: string) => void kept.delete(key),
  });
  expect(remembered('by')).toBe('');
  expect(remember('by', 'Wren')).toBe(true);
  expect(remembered('by')).toBe('Wren');
  forget('by');
  expect(remembered('by')).toBe('');
});

it('says that a full device keeps nothing, and stops nobody', () => {
  const full = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  vi.stubGlobal('localStorage', { getItem: full, setItem: full, removeItem: full });
  expect(remember('by', 'Wren')).toBe(false);
  expect(remembered('by')).toBe('');
  expect(() => forget('by')).not.toThrow();
});
