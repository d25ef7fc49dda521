/** What this device remembers; empty where it remembers nothing, or may not. */
export function remembered(key: string): string {
  try {
    return localStorage.getItem(key) ?? '';
  } catch {
    return '';
  }
}

/** Answers whether it is kept: a full device keeps nothing more, and whoever asked goes on all the same. */
export function remember(key: string, text: string): boolean {
  try {
    localStorage.setItem(key, text);
    return true;
  } catch {
    return false;
  }
}

export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // where nothing may be kept, nothing was
  }
}
