import { onDestroy } from 'svelte';
import { begun, forget, keep } from './draft';

/** What a dialog's form holds. Closed without being sent, it is there again when the dialog opens again. */
export class Draft<T> {
  value: T = $state() as T;
  /** Whether it was typed before. */
  again = $state(false);
  readonly #key: string;
  readonly #base: T;
  #sent = false;

  /** @param key names the dialog and what it is about; {@code now} what it begins with */
  constructor(key: string, now: T) {
    this.#key = key;
    this.#base = structuredClone(now);
    const { value, again } = begun(key, this.#base);
    this.value = value;
    this.again = again;
    onDestroy(() => {
      if (!this.#sent) {
        keep(key, this.#base, $state.snapshot(this.value));
      }
    });
  }

  /** Nothing of it is kept. */
  sent(): void {
    this.#sent = true;
    forget(this.#key);
  }

  startAfresh(): void {
    this.value = structuredClone(this.#base);
    this.again = false;
    forget(this.#key);
  }
}
