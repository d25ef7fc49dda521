import { type ApiProblem, asProblem } from '../../api/call';
import { layerPlanks, layPlanks, newKey } from '../../api/client';
import type { LayerPlanks, PlankForm, Units } from '../../api/types';

export type Butt = LayerPlanks['ends'][number];

const INCH_M = 0.0254;
/** Half a millimetre: where it was drawn. */
const NOTHING_M = 0.0005;

/** A way along the grain as the job types it, fine enough that nothing moves by itself. */
const typed = (metres: number, units: Units): string =>
  units === 'US' ? `${(metres / INCH_M).toFixed(3)} in` : `${(metres * 1000).toFixed(1)} mm`;

const metres = (text: string, units: Units): number =>
  Number.parseFloat(text) * (units === 'US' ? INCH_M : 0.001);

const isOf = (n: PlankForm['nudges'][number], b: Butt) =>
  n.row === b.row && n.run === b.run && n.butt === b.index;

/** A plank layout on the screen: written one after the other, each step back to where it was. */
export class PlankDesk {
  told = $state.raw<LayerPlanks | null>(null);
  problem = $state.raw<ApiProblem | null>(null);
  busy = $state(false);
  /** How it was laid out before each write of this screen, the newest last. */
  past = $state.raw<PlankForm[]>([]);

  readonly #where: { jobId: string; zoneId: string; layerId: string };
  readonly #units: Units;
  #last: Promise<boolean> = Promise.resolve(true);
  #waiting = 0;

  constructor(where: { jobId: string; zoneId: string; layerId: string }, units: Units) {
    this.#where = where;
    this.#units = units;
  }

  async load(): Promise<void> {
    try {
      this.told = await layerPlanks(this.#where);
      this.problem = null;
    } catch (e) {
      this.problem = asProblem(e);
    }
  }

  /** Moves a butt along the grain from where it lies, metres. */
  nudge(butt: Butt, byM: number): Promise<boolean> {
    return this.#queue(async () => {
      const form = this.told?.form;
      if (!form) {
        return false;
      }
      const before = form.nudges.find((n) => isOf(n, butt));
      const by = byM + (before ? metres(before.by, this.#units) : 0);
      const others = form.nudges.filter((n) => !isOf(n, butt));
      const moved = { row: butt.row, run: butt.run, butt: butt.index, by: typed(by, this.#units) };
      return this.#write({
        ...form,
        nudges: Math.abs(by) < NOTHING_M ? others : [...others, moved],
      });
    });
  }

  /** Lays it out anew, as this makes of what it was; answers whether that was taken. */
  lay(anew: (form: PlankForm) => PlankForm): Promise<boolean> {
    return this.#queue(async () => (this.told ? this.#write(anew(this.told.form)) : false));
  }

  undo(): Promise<boolean> {
    return this.#queue(async () => {
      const before = this.past.at(-1);
      return before ? this.#write(before, true) : false;
    });
  }

  /** What is asked for while another write is on its way comes after it, and nothing of it is lost. */
  #queue(write: () => Promise<boolean>): Promise<boolean> {
    this.#waiting++;
    this.busy = true;
    const done = this.#last.then(write).finally(() => {
      this.#waiting--;
      this.busy = this.#waiting > 0;
    });
    this.#last = done.catch(() => false);
    return done;
  }

  /** @param back whether it takes back the newest write */
  async #write(form: PlankForm, back = false): Promise<boolean> {
    const before = this.told;
    if (!before) {
      return false;
    }
    try {
      this.told = await layPlanks(this.#where, newKey(), before.version, form);
      this.problem = null;
      this.past = back ? this.past.slice(0, -1) : [...this.past, before.form];
      return true;
    } catch (e) {
      this.problem = asProblem(e);
      if (this.problem.status === 412) {
        this.told = await layerPlanks(this.#where);
      }
      return false;
    }
  }
}
