import { person } from '../../app/person.svelte';
import { FormState } from '../../parts/form.svelte';

/** A form that is signed: with the name that this device knows, or the one that is keyed in. */
export class Signing extends FormState {
  by = $state(person.name);

  /** Sends once; the name is remembered when it was taken. */
  async sign(content: unknown, write: (key: string) => Promise<unknown>): Promise<boolean> {
    this.by ||= person.name;
    const taken = await this.send([this.by, content], write);
    if (taken && this.by !== '') {
      person.remember(this.by);
    }
    return taken;
  }
}
