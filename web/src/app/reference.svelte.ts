import { reference } from '../api/client';
import type { ReferenceView } from '../api/types';

/** Test methods and fields, asked for once. */
class Reference {
  view = $state.raw<ReferenceView | null>(null);

  async load(): Promise<void> {
    this.view ??= await reference();
  }
}

export const known = new Reference();
