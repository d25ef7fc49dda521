import { asProblem } from '../../../api/call';
import { layerRecipe, layerWeighIn } from '../../../api/client';
import type { FigureView, JobHead, LayerReport, LayerZone, NextBatch } from '../../../api/types';
import { appClock } from '../../../app/clock.svelte';
import type { JobDesk } from '../../../app/job.svelte';
import { Logging } from '../../../app/logging.svelte';
import { outbox } from '../../../app/outbox.svelte';
import { after, minutesSince } from '../../../parts/time';
import { asPlanned, upcoming } from './batch';
import { Card } from './card.svelte';

/** What a batch is mixed on. */
export interface Bench {
  desk: JobDesk;
  job: JobHead;
  zone: LayerZone;
  layer: LayerReport;
}

/** A figure to its last digit, as it is keyed in. */
const typed = (figure: FigureView) => `${figure.value} ${figure.unit}`;

/** One batch by its card: what is tapped, what follows from it, and what is written down. */
export class Mixing {
  readonly card: Card;
  readonly sending = new Logging();
  /** A reading that could not be judged, for want of a signal. */
  unheard = $state(false);
  readonly #bench: () => Bench;

  constructor(bench: () => Bench) {
    this.#bench = bench;
    const { zone, layer } = bench();
    this.card = new Card(
      { zoneId: zone.id, cycle: zone.report.cycle.number, layerId: layer.id },
      appClock.now,
    );
  }

  get planned(): NextBatch | null {
    const { zone, layer } = this.#bench();
    return upcoming(zone.batches, outbox.of(zone.id, 'BATCH', layer.id).length);
  }

  get hand() {
    return this.card.hand;
  }

  get next(): NextBatch | null {
    return this.hand?.next ?? this.planned;
  }

  get stage() {
    return this.hand?.next.recipe.stages[this.hand.at];
  }

  get portion() {
    return this.hand?.next.recipe.portions.find((p) => p.part === this.stage?.part);
  }

  /** This part as it follows from what is in already; nothing while nothing was weighed. */
  get follows() {
    return this.hand?.weighed?.parts.find((p) => p.part === this.stage?.part);
  }

  /** What the scale is to show; nothing where this part is not weighed. What went in before it counts. */
  get target() {
    return this.portion?.scale ? (this.follows?.target ?? this.portion.scale) : undefined;
  }

  /** It became more than was planned, and nobody has said yet where that goes. */
  get grown() {
    const weighed = this.hand?.weighed;
    return weighed?.call === 'GO' && weighed.grown && !this.hand?.together ? weighed : undefined;
  }

  /** Minutes at this slab. */
  get life(): number | undefined {
    return this.#bench().layer.clocks.find((c) => c.clock === 'POT_LIFE')?.time.minutes?.value;
  }

  /** When its pot life is over: as it is in the record, or while nobody was told, by the clock of this device. */
  get useBy(): Date | null {
    const { hand, life } = this;
    if (!hand?.together) {
      return null;
    }
    const logged = this.#bench().zone.batches.logged.find((b) => b.number === hand.next.number);
    return logged?.useBy ? after(logged.useBy, 0) : life ? after(hand.together, life) : null;
  }

  get #where() {
    const { job, zone, layer } = this.#bench();
    return { jobId: job.id, zoneId: zone.id, layerId: layer.id };
  }

  /** @param tare what the empty pail weighs; empty where the scale is set to nothing with it on */
  async begin(tare: string): Promise<void> {
    const planned = this.planned;
    if (!planned) {
      return;
    }
    this.sending.problem = null;
    const asked = asPlanned(planned, tare, this.#bench().job.facts.units);
    try {
      const recipe = tare.trim() ? await layerRecipe(this.#where, asked) : planned.recipe;
      this.card.begin({ ...planned, recipe }, asked, appClock.now);
    } catch (e) {
      this.sending.problem = asProblem(e);
    }
  }

  again(): void {
    if (this.hand) {
      this.card.begin(this.hand.next, this.hand.asked, appClock.now);
    }
  }

  /** The part is in as the card asked for it: with a signal or without, that is right. */
  async isIn(): Promise<void> {
    if (this.target) {
      await this.#weigh([...(this.hand?.readings ?? []), this.target.text], true);
    } else {
      this.card.on();
    }
  }

  /** The scale shows something else. Answers whether what follows is known. */
  shows(reading: string): Promise<boolean> {
    return this.#weigh([...(this.hand?.readings ?? []), reading], false);
  }

  /** What was missing is in: the scale shows what each part was to bring it to. */
  async added(): Promise<void> {
    const { hand } = this;
    if (hand?.weighed) {
      const shown = hand.weighed.parts.slice(0, hand.readings.length + 1);
      await this.#weigh(
        shown.map((p) => p.target.text),
        true,
      );
    }
  }

  /** @param readings one for each part that is in; @param asAsked whether the last of them is what the card asked for */
  async #weigh(readings: readonly string[], asAsked: boolean): Promise<boolean> {
    const { hand, life } = this;
    if (!hand) {
      return false;
    }
    this.sending.problem = null;
    this.unheard = false;
    const stood = hand.together ? `${minutesSince(hand.together, appClock.now)} min` : null;
    try {
      const weighed = await layerWeighIn(this.#where, {
        recipe: hand.asked,
        readings: [...readings],
        ...(stood ? { stood } : {}),
        ...(life ? { life: `${life} min` } : {}),
      });
      if (weighed.call === 'GO') {
        this.card.on({ readings, weighed });
      } else {
        this.card.put({ weighed });
      }
      return true;
    } catch (e) {
      const problem = asProblem(e);
      if (!problem.passes) {
        this.sending.problem = problem;
      } else if (asAsked) {
        this.card.on({ readings });
        return true;
      } else {
        this.unheard = true;
      }
      return false;
    }
  }

  /** It never gets onto the floor: it is gone from the cans all the same. */
  async thrownAway(): Promise<void> {
    const { hand } = this;
    const inside = hand?.weighed?.inside;
    if (!inside) {
      return;
    }
    const { layer } = this.#bench();
    const note = `Thrown away. ${hand.weighed?.words ?? ''}`;
    const values = { ...this.#told(inside), area: '0', wasted: typed(inside) };
    const { bays: place } = hand.next.run;
    if (await this.#write('BATCH', layer.id, 'thrown away', { values, place, note })) {
      this.card.end();
    }
  }

  /**
   * The parts meet, and with them the pot life begins: that is what is kept.
   *
   * @param goes where it goes, of a batch that became more: on over the floor, all of it here, or what is over stays off the floor
   */
  async mixed(goes: 'on' | 'here' | 'off' = 'here'): Promise<void> {
    const { hand } = this;
    if (!hand) {
      return;
    }
    const { run } = hand.next;
    const { weighed } = hand;
    const over = goes === 'on' && weighed?.covers ? weighed.covers : run.area;
    const off: Record<string, string> =
      goes === 'off' && weighed?.over ? { wasted: typed(weighed.over) } : {};
    const mixed = weighed?.amount ?? hand.next.amount;
    const values = { ...this.#told(mixed), area: typed(over), ...this.#weighed(), ...off };
    const at = this.#bench().layer.id;
    if (await this.#write('BATCH', at, 'mixed', { values, place: run.bays })) {
      const now = appClock.now.toISOString();
      this.card.put({ together: now, since: now, over });
    }
  }

  #write(kind: 'NOTE' | 'BATCH', subject: string, done: string, more: object): Promise<boolean> {
    const { desk, job, zone, layer } = this.#bench();
    const words = `batch ${this.next?.number ?? ''} of ${layer.title}, ${zone.report.name}, ${done}`;
    const asked = kind === 'BATCH' && layer.asksReason;
    return this.sending.writeOrHold(
      desk,
      { jobId: job.id, zoneId: zone.id, words, asked },
      kind,
      subject,
      // sent when the zone is in another, it still belongs to this one
      { ...more, cycle: zone.report.cycle.number },
    );
  }

  #has(field: string): boolean {
    return this.#bench().layer.batchFields.some((f) => f.id === field);
  }

  /** What is in it of each part, by the scale; nothing where the last could not be judged. */
  #weighed(): Record<string, string> {
    const parts = this.hand?.weighed?.parts ?? [];
    const fields = this.#bench().layer.weighFields;
    return parts.every((p) => p.shown)
      ? Object.fromEntries(
          parts.flatMap((p) => {
            const field = fields[p.part];
            return field ? [[field.id, p.shown?.text ?? '']] : [];
          }),
        )
      : {};
  }

  /** How much was mixed, as a batch is logged. */
  #told(mixed: FigureView): Record<string, string> {
    const { zone } = this.#bench();
    const lot = zone.came.lot === '' ? {} : { lot: zone.came.lot };
    return { [this.#has('bags') ? 'bags' : 'volume']: typed(mixed), ...lot };
  }
}
