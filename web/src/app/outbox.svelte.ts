import { type ApiProblem, asProblem } from '../api/call';
import { log, newKey } from '../api/client';
import type { LogForm } from '../api/types';
import { remember, remembered } from '../parts/memory';

/** A log entry that waits on this device for a signal. */
export interface Held {
  /** Under which it is sent, however often: the server takes it once. */
  key: string;
  jobId: string;
  zoneId: string;
  form: LogForm;
  /** What it says, to a person. */
  words: string;
}

const KEPT = 'openslab.held';
const AGAIN_MS = 15_000;

const isHeld = (e: unknown): e is Held =>
  typeof e === 'object' && e !== null && 'key' in e && 'zoneId' in e && 'form' in e;

/** What cannot be read is nothing. */
function read(): readonly Held[] {
  try {
    const held: unknown = JSON.parse(remembered(KEPT) || '[]');
    return Array.isArray(held) ? held.filter(isHeld) : [];
  } catch {
    return [];
  }
}

/** What was done without a signal. It is kept on this device, over a reload too, and sent in its order once there is one. */
class Outbox {
  held = $state.raw(read());
  /** Why the server declined an entry, by its key; it stays here until somebody decides. */
  declined = $state.raw<Record<string, ApiProblem>>({});
  /** Counts what was sent from here. */
  sent = $state(0);
  /** The device is full: what waits is lost with this page. */
  fleeting = $state(false);
  #sending = false;

  /** Sends what waits, now and whenever there may be a signal again, until `stop` is called. */
  start(): () => void {
    const again = () => void this.send();
    const others = () => (this.held = this.#all());
    addEventListener('online', again);
    addEventListener('storage', others);
    const timer = setInterval(again, AGAIN_MS);
    again();
    return () => {
      removeEventListener('online', again);
      removeEventListener('storage', others);
      clearInterval(timer);
    };
  }

  hold(entry: Held): void {
    this.#keep([...this.#all(), entry]);
  }

  drop(key: string): void {
    this.#keep(this.#all().filter((e) => e.key !== key));
  }

  /** Says otherwise what was declined, and sends it: another write, under a key of its own. */
  async amend(key: string, more: Partial<LogForm>): Promise<void> {
    this.#keep(
      this.#all().map((e) =>
        e.key === key ? { ...e, key: newKey(), form: { ...e.form, ...more } } : e,
      ),
    );
    await this.send();
  }

  /** What waits of one kind about one thing of a zone. */
  of(zoneId: string, kind: LogForm['kind'], subject: string): readonly Held[] {
    return this.held.filter(
      (e) => e.zoneId === zoneId && e.form.kind === kind && e.form.subject === subject,
    );
  }

  /** @param all also what was declined before */
  async send(all = false): Promise<void> {
    if (this.#sending) {
      return;
    }
    this.#sending = true;
    if (all) {
      this.declined = {};
    }
    try {
      for (const entry of this.#all()) {
        if (!this.declined[entry.key] && !(await this.#sendOne(entry))) {
          return;
        }
      }
    } finally {
      this.#sending = false;
    }
  }

  /** Answers whether somebody is there who decides. */
  async #sendOne(entry: Held): Promise<boolean> {
    try {
      await log({ jobId: entry.jobId, zoneId: entry.zoneId }, entry.key, entry.form);
      this.drop(entry.key);
      this.sent++;
      return true;
    } catch (e) {
      const problem = asProblem(e);
      if (!problem.passes) {
        this.declined = { ...this.declined, [entry.key]: problem };
      }
      return !problem.passes;
    }
  }

  /** What is kept, by other pages too; where nothing can be, what this one holds. */
  #all(): readonly Held[] {
    return this.fleeting ? this.held : read();
  }

  #keep(held: readonly Held[]): void {
    this.held = held;
    this.fleeting = !remember(KEPT, JSON.stringify(held));
  }
}

export const outbox = new Outbox();
