<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { Corner, RoomPlan, Units, ZoneHead } from '../../api/types';

  interface Props {
    plan: RoomPlan;
    zones: readonly ZoneHead[];
    units: Units;
    /** Which wall is being typed, by run. */
    chosen: string;
    /** Degrees that north lies to the right of up. */
    north: number;
    onchoose: (run: string) => void;
    /** Done once the plan has followed. */
    onmove: (corner: number, x: number, y: number) => Promise<void>;
  }

  let { plan, zones, units, chosen, north, onchoose, onmove }: Props = $props();

  const MARGIN = 46;
  const FOOT = 0.3048;
  /** What a dragged or nudged corner falls in with: half an inch, or a centimetre. */
  const snap = $derived(units === 'US' ? FOOT / 24 : 0.01);

  let width = $state(600);
  let height = $state(440);
  /** Pixels to the metre and where the origin is; null fits the room. */
  let own = $state.raw<{ k: number; x: number; y: number } | null>(null);
  let drag = $state.raw<{ corner: number; x: number; y: number } | null>(null);
  let svg = $state<SVGSVGElement>();

  const box = $derived.by(() => {
    const all = [...plan.outline.corners, ...plan.closed.walked];
    const xs = all.map((c) => c.x);
    const ys = all.map((c) => c.y);
    return {
      x0: Math.min(...xs),
      x1: Math.max(...xs),
      y0: Math.min(...ys),
      y1: Math.max(...ys),
    };
  });
  const fit = $derived.by(() => {
    const k = Math.min(
      (width - 2 * MARGIN) / Math.max(box.x1 - box.x0, 0.5),
      (height - 2 * MARGIN) / Math.max(box.y1 - box.y0, 0.5),
    );
    return {
      k,
      x: width / 2 - (k * (box.x0 + box.x1)) / 2,
      y: height / 2 + (k * (box.y0 + box.y1)) / 2,
    };
  });
  const view = $derived(own ?? fit);
  const px = (x: number) => view.x + x * view.k;
  const py = (y: number) => view.y - y * view.k;
  const at = (c: Corner) => `${px(c.x).toFixed(1)} ${py(c.y).toFixed(1)}`;
  const path = (points: readonly Corner[], close = true) =>
    points.length === 0 ? '' : `M${points.map(at).join('L')}${close ? 'Z' : ''}`;

  /** Short lines: x, y of one end, then of the other. */
  function pieces(xy: readonly number[]): string {
    let d = '';
    for (let i = 0; i + 3 < xy.length; i += 4) {
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = xy.slice(i, i + 4);
      d += `M${at({ x: x0, y: y0 })}L${at({ x: x1, y: y1 })}`;
    }
    return d;
  }

  const n = $derived(plan.walls.length);
  /** The corners as they are drawn now: one of them may be under a finger. */
  const corners = $derived(
    plan.closed.corners.map((c, i) => (drag?.corner === i ? { x: drag.x, y: drag.y } : c)),
  );
  /** A wall whose corner is being dragged is straight until it is let go. */
  const walls = $derived(
    plan.walls.map((wall, i) => {
      const next = (i + 1) % n;
      const held = drag && (drag.corner === i || drag.corner === next);
      const [from, to] = [corners[i], corners[next]];
      const points = held && from && to ? [from, to] : wall.points;
      const a = points[0] ?? { x: 0, y: 0 };
      const b = points.at(-1) ?? a;
      const middle = points.length > 2 ? points[Math.floor(points.length / 2)] : undefined;
      const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      // outward: to the right of a wall walked with the floor on its left
      const out = { x: (b.y - a.y) / length, y: -(b.x - a.x) / length };
      const m = middle ?? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
      let turn = (Math.atan2(-(b.y - a.y), b.x - a.x) * 180) / Math.PI;
      turn = turn > 90 || turn <= -90 ? turn + 180 : turn;
      return { ...wall, points, a, m, out, turn, room: length * view.k };
    }),
  );
  let settled: Record<string, boolean> = {};
  /** While a corner moves, the words of the walls beside it are not shown and the others stay. */
  const readable = $derived.by(() => (drag ? settled : (settled = spread())));

  /** Lengths that have room to be read: where two would lie over one another, the longer wall's stays. */
  function spread(): Record<string, boolean> {
    const taken: { x: number; y: number; r: number }[] = [];
    const shown: Record<string, boolean> = {};
    for (const wall of walls.filter((w) => w.room > 30).sort((a, b) => b.room - a.room)) {
      const half = wall.text.length * 3.7;
      const angle = (wall.turn * Math.PI) / 180;
      const at = labelAt(wall);
      // three circles along the words
      const own = [-half * 0.7, 0, half * 0.7].map((d) => ({
        x: at.x + d * Math.cos(angle),
        y: at.y + d * Math.sin(angle),
        r: 9,
      }));
      const free = own.every((o) =>
        taken.every((t) => Math.hypot(t.x - o.x, t.y - o.y) > t.r + o.r),
      );
      shown[wall.run] = free;
      if (free) {
        taken.push(...own);
      }
    }
    return shown;
  }

  function labelAt(wall: { m: Corner; out: Corner }) {
    return {
      x: px(wall.m.x) + wall.out.x * handed * 16,
      y: py(wall.m.y) - wall.out.y * handed * 16,
    };
  }

  /** From a corner into the room, for its letter. */
  function inward(i: number) {
    const [a, b, c] = [corners[(i + n - 1) % n], corners[i], corners[(i + 1) % n]];
    if (!a || !b || !c) {
      return { x: 0, y: 0 };
    }
    const toA = Math.hypot(a.x - b.x, a.y - b.y) || 1;
    const toC = Math.hypot(c.x - b.x, c.y - b.y) || 1;
    const x = (a.x - b.x) / toA + (c.x - b.x) / toC;
    const y = (a.y - b.y) / toA + (c.y - b.y) / toC;
    const length = Math.hypot(x, y) || 1;
    const turned = ((b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)) * handed >= 0 ? 1 : -1;
    return { x: (turned * x) / length, y: (turned * y) / length };
  }

  const handed = $derived(signed(corners) >= 0 ? 1 : -1);
  const ring = $derived(walls.flatMap((w) => w.points.slice(0, -1)));
  const gap = $derived(
    plan.closed.method === 'OPEN' && !drag
      ? [plan.closed.walked.at(-1), plan.closed.walked[0]].filter((c) => c !== undefined)
      : [],
  );

  function signed(points: readonly Corner[]): number {
    return points.reduce((sum, a, i) => {
      const b = points[(i + 1) % points.length] ?? a;
      return sum + a.x * b.y - b.x * a.y;
    }, 0);
  }

  /** Half along a line of two places, and which way the floor lies from there. */
  function middle([a, b]: readonly Corner[]) {
    if (!a || !b) {
      return { x: 0, y: 0, in: { x: 0, y: 0 } };
    }
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    const inward = {
      x: (-handed * (b.y - a.y)) / length,
      y: (handed * (b.x - a.x)) / length,
    };
    return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, in: inward };
  }

  /** 1, 2 or 5 of something, near 110 px long. */
  const bar = $derived.by(() => {
    const unit = units === 'US' ? FOOT : 1;
    const steps = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200];
    const size = steps.filter((s) => s * unit * view.k <= 130).at(-1) ?? 0.1;
    return { px: size * unit * view.k, text: `${size} ${units === 'US' ? 'ft' : 'm'}` };
  });

  const zoneName = (id: string | undefined) => zones.find((z) => z.id === id)?.report.name;

  export function zoom(by: number, cx = width / 2, cy = height / 2): void {
    const k = Math.min(4000, Math.max(2, view.k * by));
    const f = k / view.k;
    own = { k, x: cx - (cx - view.x) * f, y: cy - (cy - view.y) * f };
  }

  export function fitAll(): void {
    own = null;
  }

  const here = (event: PointerEvent | WheelEvent) => {
    const r = svg?.getBoundingClientRect();
    return { x: event.clientX - (r?.left ?? 0), y: event.clientY - (r?.top ?? 0) };
  };
  const snapped = (v: number) => Math.round(v / snap) * snap;

  let pointers: { id: number; x: number; y: number }[] = [];
  /** Whether a finger holds the corner that is dragged; afterwards it only waits for the plan. */
  let holding = false;

  function down(event: PointerEvent) {
    const held = event.target instanceof Element ? event.target.closest('[data-corner]') : null;
    svg?.setPointerCapture(event.pointerId);
    pointers = [
      ...pointers.filter((p) => p.id !== event.pointerId),
      { id: event.pointerId, ...here(event) },
    ];
    if (held && pointers.length === 1) {
      const corner = Number(held.getAttribute('data-corner'));
      const c = plan.closed.corners[corner];
      drag = c ? { corner, x: c.x, y: c.y } : null;
      holding = drag !== null;
    } else if (holding) {
      // a second finger means to zoom
      holding = false;
      drag = null;
    }
  }

  function move(event: PointerEvent) {
    const before = pointers.find((p) => p.id === event.pointerId);
    if (!before) {
      return;
    }
    const now = here(event);
    const other = pointers.find((p) => p.id !== event.pointerId);
    if (other) {
      const was = Math.hypot(before.x - other.x, before.y - other.y);
      const is = Math.hypot(now.x - other.x, now.y - other.y);
      if (was > 0) {
        zoom(is / was, (now.x + other.x) / 2, (now.y + other.y) / 2);
      }
    } else if (drag && holding) {
      drag = {
        corner: drag.corner,
        x: snapped((now.x - view.x) / view.k),
        y: snapped((view.y - now.y) / view.k),
      };
    } else {
      own = { k: view.k, x: view.x + now.x - before.x, y: view.y + now.y - before.y };
    }
    before.x = now.x;
    before.y = now.y;
  }

  function up(event: PointerEvent) {
    pointers = pointers.filter((p) => p.id !== event.pointerId);
    if (drag && holding) {
      holding = false;
      const was = plan.closed.corners[drag.corner];
      if (was && Math.hypot(drag.x - was.x, drag.y - was.y) > snap / 2) {
        void letGo(drag);
      } else {
        drag = null;
      }
    }
  }

  function cancel(event: PointerEvent) {
    pointers = pointers.filter((p) => p.id !== event.pointerId);
    if (holding) {
      holding = false;
      drag = null;
    }
  }

  function wheel(event: WheelEvent) {
    event.preventDefault();
    const { x, y } = here(event);
    zoom(Math.exp(-event.deltaY / 400), x, y);
  }

  /** A listener that may keep the page from scrolling. */
  function zooming(node: SVGSVGElement) {
    node.addEventListener('wheel', wheel, { passive: false });
    return () => node.removeEventListener('wheel', wheel);
  }

  const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  };

  /** A run of presses is one move, made a moment after the last. */
  const SETTLED_MS = 350;
  let settling: ReturnType<typeof setTimeout> | undefined;

  function settle() {
    if (settling !== undefined && drag) {
      void letGo(drag);
    }
    clearTimeout(settling);
    settling = undefined;
  }

  onDestroy(settle);

  /** The corner stays where it was put until the plan has followed. */
  async function letGo(at: NonNullable<typeof drag>) {
    await onmove(at.corner, at.x, at.y);
    if (drag === at) {
      drag = null;
    }
  }

  function nudge(event: KeyboardEvent, i: number) {
    const way = ARROWS[event.key];
    const from = drag?.corner === i ? drag : plan.closed.corners[i];
    if (way && from) {
      event.preventDefault();
      event.stopPropagation();
      const by = event.shiftKey ? 12 * snap : snap;
      drag = { corner: i, x: from.x + way[0] * by, y: from.y + way[1] * by };
      clearTimeout(settling);
      settling = setTimeout(settle, SETTLED_MS);
    } else if (event.key === 'Escape' && drag) {
      event.stopPropagation();
      clearTimeout(settling);
      settling = undefined;
      drag = null;
    } else if (event.key !== 'Shift') {
      settle();
    }
  }
</script>

<svelte:window onpagehide={settle} />

<div
  class="frame"
  bind:clientWidth={width}
  bind:clientHeight={height}
  style:background-size="{bar.px}px {bar.px}px"
  style:background-position="{px(0)}px {py(0)}px"
>
  <svg
    bind:this={svg}
    {width}
    {height}
    role="group"
    aria-label="Plan of {plan.name}"
    onpointerdown={down}
    onpointermove={move}
    onpointerup={up}
    onpointercancel={cancel}
    {@attach zooming}
  >
    {#if drag}
      <path class="floor" d={path(ring)} />
    {:else if plan.pieces.length > 0}
      {#each plan.pieces as piece, i (i)}
        <path
          class="floor"
          class:free={!piece.zoneId}
          fill-rule="evenodd"
          d={piece.rings.map((r) => path(r)).join('')}
        />
      {/each}
    {:else}
      <path class="floor" d={path(ring)} />
    {/if}
    {#each plan.openings as opening (opening.id)}
      <path class="opening" d={path(opening.ring)}><title>{opening.name}</title></path>
    {/each}
    {#if !drag}
      {#each plan.levels?.contours ?? [] as contour (contour.heightM)}
        <path class="contour" d={pieces(contour.xyM)} />
      {/each}
      {#each plan.levels?.spots ?? [] as spot, i (i)}
        <circle class="spot" cx={px(spot.at.x)} cy={py(spot.at.y)} r="9" />
      {/each}
    {/if}
    {#each plan.lines as line (line.id)}
      {#if line.kind !== 'DOOR' && line.kind !== 'EXIT'}
        <path class="line" data-kind={line.kind} d={path(line.points, false)} />
      {/if}
    {/each}
    {#each walls as wall, i (wall.run)}
      <path
        class="wall"
        class:chosen={wall.run === chosen}
        class:doubted={plan.closed.suspects.some((s) => s.id === wall.run)}
        d={path(wall.points, false)}
      />
      <path
        class="reach"
        role="presentation"
        d={path(wall.points, false)}
        onclick={() => onchoose(wall.run)}
      />
      {#if readable[wall.run]}
        {@const at = labelAt(wall)}
        <text
          class="length"
          class:chosen={wall.run === chosen}
          transform="translate({at.x} {at.y}) rotate({wall.turn})"
          dy="5">{drag && (drag.corner === i || drag.corner === (i + 1) % n) ? '' : wall.text}</text
        >
      {/if}
    {/each}
    {#if !drag}
      {#each plan.lines as line (line.id)}
        {#if line.kind === 'DOOR' || line.kind === 'EXIT'}
          {@const mid = middle(line.points)}
          <path class="door" d={path(line.points, false)} />
          {#if line.kind === 'EXIT'}
            <text class="exit" x={px(mid.x) + mid.in.x * 30} y={py(mid.y) - mid.in.y * 30 + 5}
              >way out</text
            >
          {/if}
        {/if}
      {/each}
    {/if}
    {#if gap.length === 2}<path class="gap" d={path(gap, false)} />{/if}
    {#if !drag}
      {#each plan.pieces as piece, i (i)}
        <text class="name" x={px(piece.label.x)} y={py(piece.label.y)}
          >{zoneName(piece.zoneId) ?? ''}</text
        >
      {/each}
    {/if}
    {#each corners as c, i (i)}
      <g
        data-corner={i}
        role="button"
        tabindex="0"
        aria-label="Corner {plan.walls[i]?.name.split('–')[0]}: arrows move it"
        onkeydown={(e) => nudge(e, i)}
        onblur={settle}
      >
        <circle class="touch" cx={px(c.x)} cy={py(c.y)} r="22" />
        <text class="letter" x={px(c.x) + inward(i).x * 18} y={py(c.y) - inward(i).y * 18 + 5}
          >{plan.walls[i]?.name.split('–')[0]}</text
        >
        <circle class="corner" cx={px(c.x)} cy={py(c.y)} r="6" />
      </g>
    {/each}
    <g
      class="north"
      transform="translate({width - 34} 40) rotate({north})"
      aria-label="North"
      role="img"
    >
      <path d="M0 16V-12M-6 -2L0 -12L6 -2" />
      <text transform="translate(0 -22) rotate({-north})" dy="6">N</text>
    </g>
    <g class="bar" transform="translate(14 {height - 14})" aria-hidden="true">
      <path d="M0 -6V0H{bar.px}V-6" />
      <text x={bar.px + 8} y="1">{bar.text}</text>
    </g>
  </svg>
</div>

<style>
  .frame {
    block-size: 440px;
    background:
      linear-gradient(var(--line) 1px, transparent 1px),
      linear-gradient(90deg, var(--line) 1px, transparent 1px), var(--ground);
    border: 1px solid var(--line-strong);
    overflow: hidden;
  }

  svg {
    display: block;
    touch-action: none;
    cursor: grab;
  }

  .floor {
    fill: var(--paper);
    stroke: none;
  }

  .floor.free {
    fill: #f1ecdf;
  }

  .opening {
    fill: var(--ground);
    stroke: var(--ink);
    stroke-width: 1.5;
  }

  .wall {
    fill: none;
    stroke: var(--ink);
    stroke-width: 4;
    stroke-linecap: square;
    pointer-events: none;
  }

  .wall.doubted {
    stroke: var(--stop);
    stroke-dasharray: 10 6;
  }

  .wall.chosen {
    stroke: var(--chalk);
    stroke-width: 6;
  }

  .reach {
    fill: none;
    stroke: transparent;
    stroke-width: 30;
    cursor: pointer;
  }

  .line {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    stroke-dasharray: 12 4 2 4;
    pointer-events: none;
  }

  .line[data-kind='EXPANSION'] {
    stroke-width: 4;
    stroke-dasharray: none;
  }

  .line[data-kind='CRACK'],
  .line[data-kind='MOVING_CRACK'] {
    stroke: var(--stop);
    stroke-dasharray: none;
  }

  .line[data-kind='MOVING_CRACK'] {
    stroke-width: 4;
  }

  .line[data-kind='CUT'] {
    stroke: var(--chalk);
    stroke-width: 2;
    stroke-dasharray: 6 5;
  }

  .line[data-kind='RAMP'] {
    stroke-dasharray: 3 3;
  }

  .line[data-kind='LIP'] {
    stroke: var(--hold);
    stroke-width: 3;
    stroke-dasharray: 2 3;
  }

  .north path {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
  }

  .north text {
    fill: var(--ink-soft);
  }

  .contour {
    fill: none;
    stroke: var(--wet);
    stroke-width: 1;
    pointer-events: none;
  }

  .spot {
    fill: var(--wet);
    fill-opacity: 0.35;
    stroke: var(--wet);
    pointer-events: none;
  }

  .door {
    stroke: var(--paper);
    stroke-width: 5;
    pointer-events: none;
  }

  .exit {
    fill: var(--go);
    font-size: 15px;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 5px;
  }

  .letter {
    font-size: 15px;
    fill: var(--ink-soft);
  }

  .gap {
    fill: none;
    stroke: var(--stop);
    stroke-width: 3;
    stroke-dasharray: 3 5;
  }

  text {
    font: 600 16px var(--figures);
    fill: var(--chalk);
    text-anchor: middle;
    pointer-events: none;
    user-select: none;
  }

  .name {
    font: 600 19px var(--text);
    fill: var(--ink);
  }

  .corner {
    fill: var(--paper);
    stroke: var(--chalk);
    stroke-width: 2.5;
  }

  .touch {
    fill: transparent;
  }

  [data-corner] {
    cursor: move;
  }

  [data-corner]:focus-visible {
    outline: none;
  }

  [data-corner]:focus-visible .corner,
  [data-corner]:hover .corner {
    fill: var(--chalk);
  }

  [data-corner]:focus-visible .touch {
    stroke: var(--chalk);
    stroke-width: 3;
  }

  .bar path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }

  .bar text {
    fill: var(--ink);
    text-anchor: start;
    font-size: 15px;
  }

  @media (max-width: 759px) {
    .frame {
      block-size: 330px;
    }
  }

  @media print {
    .frame {
      background: none;
      border: 0;
    }

    .touch,
    .corner {
      display: none;
    }
  }
</style>
