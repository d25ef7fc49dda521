import { instruments } from '../api/client';
import type { InstrumentView } from '../api/types';
import { remember, remembered } from '../parts/memory';

const MEMORY = 'instrument:';

/** The shop's instruments, and which was last used for what on this device. */
class Shelf {
  all = $state.raw<readonly InstrumentView[]>([]);

  async load(): Promise<void> {
    this.all = await instruments();
  }

  ofKind(kind: string): InstrumentView[] {
    return this.all.filter((i) => i.form.kind === kind);
  }

  last(kind: string): string {
    return remembered(MEMORY + kind);
  }

  remember(kind: string, instrumentId: string): void {
    remember(MEMORY + kind, instrumentId);
  }
}

export const shopInstruments = new Shelf();
