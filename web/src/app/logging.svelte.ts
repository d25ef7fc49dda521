import type { LogForm } from '../api/types';
import { ApiProblem, HURRIED_MS, type Patience } from '../api/call';
import { FormState } from '../parts/form.svelte';
import { appClock } from './clock.svelte';
import type { JobDesk } from './job.svelte';
import { outbox } from './outbox.svelte';
import { person } from './person.svelte';

/** Stands in where nobody gave a name. */
const NOBODY = 'somebody';

/** A form that writes to the log of one zone. Sent again, it says the very same, the minute included. */
export class Logging extends FormState {
  by = $state(person.name);
  /** Why it was done although something stands against it. */
  why = $state('');
  #words = '';
  #form: LogForm | null = null;

  /** @param more what the entry says besides; it happened now unless that says otherwise */
  async write(
    desk: JobDesk,
    zoneId: string,
    kind: LogForm['kind'],
    subject: string,
    more: Partial<LogForm> = {},
    patience?: Patience,
  ): Promise<boolean> {
    // the name may have become known since this form was opened
    this.by ||= person.name;
    const said = { kind, subject, place: '', by: this.by, note: this.why, values: {}, ...more };
    const words = JSON.stringify([zoneId, said]);
    if (words !== this.#words || !this.#form) {
      this.#words = words;
      this.#form = { at: appClock.now.toISOString(), ...said };
    }
    const form = this.#form;
    const taken = await this.send([zoneId, form], (key) => desk.log(zoneId, key, form, patience));
    if (taken) {
      this.#written(form);
    }
    return taken;
  }

  #written(form: LogForm): void {
    this.#words = '';
    this.why = '';
    if (form.by !== NOBODY) {
      person.remember(form.by);
    }
  }

  /**
   * Writes what cannot wait for a signal: without one it is kept on this device, and sent later as it was said now.
   *
   * @param words what it says, to a person
   * @param asked whether it is declined without a reason
   */
  async writeOrHold(
    desk: JobDesk,
    zone: { jobId: string; zoneId: string; words: string; asked: boolean },
    kind: LogForm['kind'],
    subject: string,
    more: Partial<LogForm> = {},
  ): Promise<boolean> {
    if (await this.write(desk, zone.zoneId, kind, subject, more, HURRIED_MS)) {
      return true;
    }
    const form = this.#form;
    if (!form || !this.problem?.passes) {
      return false;
    }
    // what would be declined later is said now
    const faults = [
      ...(form.by.trim() ? [] : [{ field: 'by', value: '', accepted: 'who did it' }]),
      ...(zone.asked && !form.note.trim()
        ? [{ field: 'note', value: '', accepted: 'why it was done all the same' }]
        : []),
    ];
    if (faults.length > 0) {
      this.problem = new ApiProblem(0, { faults });
      return false;
    }
    outbox.hold({
      key: this.handOver(),
      jobId: zone.jobId,
      zoneId: zone.zoneId,
      form,
      words: zone.words,
    });
    this.#written(form);
    return true;
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
