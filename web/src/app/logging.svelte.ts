import type { LogForm } from '../api/types';
import { FormState } from '../parts/form.svelte';
import { appClock } from './clock.svelte';
import type { JobDesk } from './job.svelte';
import { person } from './person.svelte';

/** Stands in where nobody gave a name. */
const NOBODY = 'somebody';

/** A form that writes to the log of one zone. Sent again, it says the very same, the minute included. */
export class Logging extends FormState {
  by = $state(person.name);
  /** Why it was done although something stands against it. */
  why = $state('');
  #words = '';
  #at = '';

  /** @param more what the entry says besides; it happened now unless that says otherwise */
  async write(
    desk: JobDesk,
    zoneId: string,
    kind: LogForm['kind'],
    subject: string,
    more: Partial<LogForm> = {},
  ): Promise<boolean> {
    // the name may have become known since this form was opened
    this.by ||= person.name;
    const said = { kind, subject, place: '', by: this.by, note: this.why, values: {}, ...more };
    const words = JSON.stringify([zoneId, said]);
    if (words !== this.#words) {
      this.#words = words;
      this.#at = appClock.now.toISOString();
    }
    const form: LogForm = { at: this.#at, ...said };
    const taken = await this.send([zoneId, form], (key) => desk.log(zoneId, key, form));
    if (taken) {
      this.#words = '';
      this.why = '';
      if (form.by !== NOBODY) {
        person.remember(form.by);
      }
    }
    return taken;
  }

  /** Says where a place is, metres; like a strike, in the name that is known. */
  mark(desk: JobDesk, zoneId: string, name: string, at: { x: number; y: number }) {
    this.by ||= person.name || NOBODY;
    const values = { along: `${at.x.toFixed(2)} m`, off: `${at.y.toFixed(2)} m` };
    return this.write(desk, zoneId, 'PLACE', name, { place: name, values });
  }

  /** Strikes an entry; a strike needs a name too, and nobody is asked for it twice. */
  strike(desk: JobDesk, zoneId: string, key: string): Promise<boolean> {
    this.by ||= person.name || NOBODY;
    return this.write(desk, zoneId, 'STRIKE', key);
  }
}
