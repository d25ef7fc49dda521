import { ApiProblem, type Fault } from '../api/call';
import { newKey } from '../api/client';

/**
 * What every form does: one write at a time, the same key for the same content, faults beside their fields. A changed
 * content gets a fresh key, since it is another write.
 */
export class FormState {
  busy = $state(false);
  problem = $state.raw<ApiProblem | null>(null);
  /** The key of the newest write that was taken. */
  taken = '';
  #key = newKey();
  #content = '';

  /** Sends once; answers whether it was taken. */
  async send(content: unknown, write: (key: string) => Promise<unknown>): Promise<boolean> {
    if (this.busy) {
      return false;
    }
    const text = JSON.stringify(content);
    if (text !== this.#content) {
      this.#content = text;
      this.#key = newKey();
    }
    this.busy = true;
    try {
      await write(this.#key);
      this.problem = null;
      this.#content = '';
      this.taken = this.#key;
      return true;
    } catch (e) {
      if (!(e instanceof ApiProblem)) {
        throw e;
      }
      this.problem = e;
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** Leaves the write to whoever sends it later, under its key: the same content sent again is another write. */
  handOver(): string {
    this.#content = '';
    this.problem = null;
    return this.#key;
  }

  fault(field: string): Fault | undefined {
    return this.problem?.faults.find((f) => f.field === field);
  }
}
