import type { FigureView, NextBatch, RecipeForm, WeighIn } from '../../../api/types';
import { forget, remember, remembered } from '../../../parts/memory';

/** What a device remembers of the batch in hand, so that a reload or a dead battery loses none of it. */
export interface InHand {
  /** The batch as it was when it was begun. */
  next: NextBatch;
  /** What its recipe was asked with. */
  asked: RecipeForm;
  /** Which of its stages is to be done. */
  at: number;
  /** What the scale showed after each part that is in. */
  readings: readonly string[];
  weighed: WeighIn | null;
  /** Over how much floor it goes, where it became more than was planned; what was planned otherwise. */
  over?: FigureView;
  /** When the clock of this stage was started; empty while it does not run. */
  since: string;
  /** When the parts met; empty before. */
  together: string;
  /** When it was begun. */
  began: string;
}

/** Left for longer than this it is no batch any more, and next season its material is another. */
const HOLDS = 24 * 60 * 60_000;

/** What cannot be read, and what was left standing, is no batch in hand. */
function read(kept: string, now: Date): InHand | null {
  try {
    const hand = kept ? (JSON.parse(kept) as InHand) : null;
    return hand && now.getTime() - new Date(hand.began).getTime() < HOLDS ? hand : null;
  } catch {
    return null;
  }
}

/** The batch in hand of one layer in one cycle of its zone, kept on this device. */
export class Card {
  hand = $state.raw<InHand | null>(null);
  readonly #key: string;

  constructor(of: { zoneId: string; cycle: number; layerId: string }, now: Date) {
    this.#key = `openslab.batch.${of.zoneId}/${of.cycle}/${of.layerId}`;
    this.hand = read(remembered(this.#key), now);
  }

  begin(next: NextBatch, asked: RecipeForm, now: Date): void {
    this.#keep({
      next,
      asked,
      at: 0,
      readings: [],
      weighed: null,
      since: '',
      together: '',
      began: now.toISOString(),
    });
  }

  /** The next stage, its clock not yet started. */
  on(more: Partial<InHand> = {}): void {
    if (this.hand) {
      this.#keep({ ...this.hand, since: '', at: this.hand.at + 1, ...more });
    }
  }

  put(more: Partial<InHand>): void {
    if (this.hand) {
      this.#keep({ ...this.hand, ...more });
    }
  }

  end(): void {
    this.hand = null;
    forget(this.#key);
  }

  #keep(hand: InHand): void {
    this.hand = hand;
    remember(this.#key, JSON.stringify(hand));
  }
}
