import type { Corner, RoomPlan, Units } from '../../api/types';

const MARGIN = 46;
const FOOT = 0.3048;

/** Which part of a plan is seen, and how large: from metres of the floor to pixels of the drawing, and back. */
export class PlanView {
  width = $state(600);
  height = $state(440);
  /** Pixels to the metre and where the origin is; null fits the room. */
  #own = $state.raw<{ k: number; x: number; y: number } | null>(null);
  readonly #plan: () => RoomPlan;
  readonly #units: () => Units;

  constructor(plan: () => RoomPlan, units: () => Units) {
    this.#plan = plan;
    this.#units = units;
  }

  readonly #fit = $derived.by(() => {
    const { outline, closed } = this.#plan();
    const all = [...outline.corners, ...closed.walked];
    const xs = all.map((c) => c.x);
    const ys = all.map((c) => c.y);
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const k = Math.min(
      (this.width - 2 * MARGIN) / Math.max(x1 - x0, 0.5),
      (this.height - 2 * MARGIN) / Math.max(y1 - y0, 0.5),
    );
    return { k, x: this.width / 2 - (k * (x0 + x1)) / 2, y: this.height / 2 + (k * (y0 + y1)) / 2 };
  });
  readonly #at = $derived(this.#own ?? this.#fit);

  /** Pixels to the metre. */
  get k(): number {
    return this.#at.k;
  }

  px = (x: number): number => this.#at.x + x * this.#at.k;
  py = (y: number): number => this.#at.y - y * this.#at.k;

  /** Metres of a place in the drawing. */
  floor(x: number, y: number): Corner {
    return { x: (x - this.#at.x) / this.#at.k, y: (this.#at.y - y) / this.#at.k };
  }

  at = (c: Corner): string => `${this.px(c.x).toFixed(1)} ${this.py(c.y).toFixed(1)}`;

  path = (points: readonly Corner[], close = true): string =>
    points.length === 0 ? '' : `M${points.map(this.at).join('L')}${close ? 'Z' : ''}`;

  /** Short lines: x, y of one end, then of the other. */
  pieces(xy: readonly number[]): string {
    let d = '';
    for (let i = 0; i + 3 < xy.length; i += 4) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = xy.slice(i, i + 4);
      d += `M${this.at({ x: x0, y: y0 })}L${this.at({ x: x1, y: y1 })}`;
    }
    return d;
  }

  zoom(by: number, cx = this.width / 2, cy = this.height / 2): void {
    const k = Math.min(4000, Math.max(2, this.#at.k * by));
    const f = k / this.#at.k;
    this.#own = { k, x: cx - (cx - this.#at.x) * f, y: cy - (cy - this.#at.y) * f };
  }

  pan(dx: number, dy: number): void {
    this.#own = { k: this.#at.k, x: this.#at.x + dx, y: this.#at.y + dy };
  }

  fitAll(): void {
    this.#own = null;
  }

  /** 1, 2 or 5 of something, near 110 px long. */
  readonly bar = $derived.by(() => {
    const us = this.#units() === 'US';
    const unit = us ? FOOT : 1;
    const steps = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200];
    const size = steps.filter((s) => s * unit * this.k <= 130).at(-1) ?? 0.1;
    return { px: size * unit * this.k, text: `${size} ${us ? 'ft' : 'm'}` };
  });

  /** What a dragged or nudged corner falls in with: half an inch, or a centimetre. */
  get snap(): number {
    return this.#units() === 'US' ? FOOT / 24 : 0.01;
  }
}
