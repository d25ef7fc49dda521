import type { Corner } from '../../api/types';
import type { PlanView } from './planview.svelte';

/** A corner that is somewhere else than the plan has it. */
export interface Drag {
  corner: number;
  x: number;
  y: number;
}

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** A run of presses is one move, made a moment after the last. */
const SETTLED_MS = 350;

/** What hands do with a plan: look about with one finger or two, drag a corner, or push it with the arrows. */
export class PlanGestures {
  drag = $state.raw<Drag | null>(null);
  svg = $state<SVGSVGElement>();
  #pointers: { id: number; x: number; y: number }[] = [];
  /** Whether a finger holds the corner that is dragged; afterwards it only waits for the plan. */
  #holding = false;
  #settling: ReturnType<typeof setTimeout> | undefined;
  readonly #view: PlanView;
  readonly #corners: () => readonly Corner[];
  readonly #onmove: (corner: number, x: number, y: number) => Promise<void>;

  /** @param onmove done once the plan has followed */
  constructor(
    view: PlanView,
    corners: () => readonly Corner[],
    onmove: (corner: number, x: number, y: number) => Promise<void>,
  ) {
    this.#view = view;
    this.#corners = corners;
    this.#onmove = onmove;
  }

  #here(event: PointerEvent | WheelEvent) {
    const r = this.svg?.getBoundingClientRect();
    return { x: event.clientX - (r?.left ?? 0), y: event.clientY - (r?.top ?? 0) };
  }

  down = (event: PointerEvent): void => {
    const held = event.target instanceof Element ? event.target.closest('[data-corner]') : null;
    this.svg?.setPointerCapture(event.pointerId);
    this.#pointers = [
      ...this.#pointers.filter((p) => p.id !== event.pointerId),
      { id: event.pointerId, ...this.#here(event) },
    ];
    if (held && this.#pointers.length === 1) {
      const corner = Number(held.getAttribute('data-corner'));
      const c = this.#corners()[corner];
      this.drag = c ? { corner, x: c.x, y: c.y } : null;
      this.#holding = this.drag !== null;
    } else if (this.#holding) {
      // a second finger means to zoom
      this.#holding = false;
      this.drag = null;
    }
  };

  move = (event: PointerEvent): void => {
    const before = this.#pointers.find((p) => p.id === event.pointerId);
    if (!before) {
      return;
    }
    const now = this.#here(event);
    const other = this.#pointers.find((p) => p.id !== event.pointerId);
    if (other) {
      const was = Math.hypot(before.x - other.x, before.y - other.y);
      const is = Math.hypot(now.x - other.x, now.y - other.y);
      if (was > 0) {
        this.#view.zoom(is / was, (now.x + other.x) / 2, (now.y + other.y) / 2);
      }
    } else if (this.drag && this.#holding) {
      const at = this.#view.floor(now.x, now.y);
      this.drag = { corner: this.drag.corner, x: this.#snapped(at.x), y: this.#snapped(at.y) };
    } else {
      this.#view.pan(now.x - before.x, now.y - before.y);
    }
    before.x = now.x;
    before.y = now.y;
  };

  #snapped(v: number): number {
    return Math.round(v / this.#view.snap) * this.#view.snap;
  }

  up = (event: PointerEvent): void => {
    this.#pointers = this.#pointers.filter((p) => p.id !== event.pointerId);
    if (this.drag && this.#holding) {
      this.#holding = false;
      const was = this.#corners()[this.drag.corner];
      if (was && Math.hypot(this.drag.x - was.x, this.drag.y - was.y) > this.#view.snap / 2) {
        void this.#letGo(this.drag);
      } else {
        this.drag = null;
      }
    }
  };

  cancel = (event: PointerEvent): void => {
    this.#pointers = this.#pointers.filter((p) => p.id !== event.pointerId);
    if (this.#holding) {
      this.#holding = false;
      this.drag = null;
    }
  };

  /** A listener that may keep the page from scrolling. */
  wheel = (node: SVGSVGElement): (() => void) => {
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const { x, y } = this.#here(event);
      this.#view.zoom(Math.exp(-event.deltaY / 400), x, y);
    };
    node.addEventListener('wheel', wheel, { passive: false });
    return () => node.removeEventListener('wheel', wheel);
  };

  /** What was pushed is stored now. */
  settle = (): void => {
    if (this.#settling !== undefined && this.drag) {
      void this.#letGo(this.drag);
    }
    this.#forget();
  };

  #forget(): void {
    clearTimeout(this.#settling);
    this.#settling = undefined;
  }

  /** The corner stays where it was put until the plan has followed. */
  async #letGo(at: Drag): Promise<void> {
    await this.#onmove(at.corner, at.x, at.y);
    if (this.drag === at) {
      this.drag = null;
    }
  }

  nudge(event: KeyboardEvent, i: number): void {
    const way = ARROWS[event.key];
    const from = this.drag?.corner === i ? this.drag : this.#corners()[i];
    if (way && from) {
      event.preventDefault();
      event.stopPropagation();
      const by = event.shiftKey ? 12 * this.#view.snap : this.#view.snap;
      this.drag = { corner: i, x: from.x + way[0] * by, y: from.y + way[1] * by };
      clearTimeout(this.#settling);
      this.#settling = setTimeout(this.settle, SETTLED_MS);
    } else if (event.key === 'Escape' && this.drag) {
      event.stopPropagation();
      this.#forget();
      this.drag = null;
    } else if (event.key !== 'Shift') {
      this.settle();
    }
  }
}
