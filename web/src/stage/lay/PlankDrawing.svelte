<script lang="ts">
  import type { LayerPlanks } from '../../api/types';
  import { inDrawing, sketch } from '../floor/sketch';
  import type { Butt } from './planks.svelte';

  interface Props {
    told: LayerPlanks;
    /** What the floor is called. */
    name: string;
    /** Index of the butt that is looked at; -1 for none. */
    picked: number;
    onpick: (i: number) => void;
    /** @param by metres along the grain */
    onmove: (butt: Butt, by: number) => void;
  }

  let { told, name, picked, onpick, onmove }: Props = $props();

  const WIDTH = 760;
  let svg = $state<SVGSVGElement>();
  /** The butt that is dragged, from where, and how far so far, pixels of the drawing. */
  let dragged = $state<{ butt: Butt; from: { x: number; y: number }; along: number } | null>(null);

  const corners = $derived(told.floor.flatMap((rings) => rings[0] ?? []));
  const drawn = $derived(sketch(corners, WIDTH, 560, 18));
  const line = (a: { x: number; y: number }, b: { x: number; y: number }) =>
    `M${drawn.px(a.x)} ${drawn.py(a.y)}L${drawn.px(b.x)} ${drawn.py(b.y)}`;
  const middle = (b: Butt) => ({
    x: drawn.px((b.low.x + b.high.x) / 2),
    y: drawn.py((b.low.y + b.high.y) / 2),
  });
  // along the grain in the drawing, whose y runs down
  const grain = $derived({ x: Math.cos(told.grain), y: -Math.sin(told.grain) });
  /** A butt is taken hold of within a finger's breadth. */
  const REACH = 26;

  function down(event: PointerEvent) {
    if (!svg) {
      return;
    }
    const at = inDrawing(event, svg, WIDTH);
    let best = -1;
    let least = REACH;
    told.ends.forEach((b, i) => {
      const m = middle(b);
      const d = Math.hypot(m.x - at.x, m.y - at.y);
      if (d < least) {
        least = d;
        best = i;
      }
    });
    const butt = told.ends[best];
    if (butt) {
      event.preventDefault();
      svg.setPointerCapture(event.pointerId);
      onpick(best);
      dragged = { butt, from: at, along: 0 };
    }
  }

  function move(event: PointerEvent) {
    if (dragged && svg) {
      const at = inDrawing(event, svg, WIDTH);
      const along = (at.x - dragged.from.x) * grain.x + (at.y - dragged.from.y) * grain.y;
      dragged = { ...dragged, along };
    }
  }

  function up() {
    const done = dragged;
    dragged = null;
    if (done && Math.abs(done.along) > 3) {
      onmove(done.butt, done.along / drawn.k);
    }
  }
</script>

<svg
  bind:this={svg}
  viewBox="0 0 {WIDTH} {drawn.height}"
  role="img"
  aria-label="{name} in {told.planks.length} planks"
  onpointerdown={down}
  onpointermove={move}
  onpointerup={up}
  onpointercancel={() => (dragged = null)}
>
  {#each told.planks as plank, i (i)}
    <path
      class="plank"
      data-tint={(plank.row * 2 + i) % 4}
      d={plank.rings.map(drawn.path).join('')}
    />
  {/each}
  {#each told.frames as frame, i (i)}
    <path class="frame" d={frame.map(drawn.path).join('')} />
  {/each}
  {#each told.joints as joint, i (i)}
    <path
      class="joint"
      d={joint.map((c, k) => `${k === 0 ? 'M' : 'L'}${drawn.px(c.x)} ${drawn.py(c.y)}`).join('')}
    />
  {/each}
  {#each told.floor as part, i (i)}
    <path class="edge" d={part.map(drawn.path).join('')} />
  {/each}
  {#each told.ends as butt, i (i)}
    {#if butt.nudged || butt.clash || i === picked}
      <path
        class="butt"
        class:picked={i === picked}
        class:clash={butt.clash !== ''}
        d={line(butt.low, butt.high)}
      />
    {/if}
  {/each}
  {#if dragged}
    <path
      class="butt picked"
      transform="translate({grain.x * dragged.along} {grain.y * dragged.along})"
      d={line(dragged.butt.low, dragged.butt.high)}
    />
  {/if}
</svg>

<style>
  svg {
    inline-size: 100%;
    touch-action: pan-y pinch-zoom;
    cursor: grab;
  }

  .plank {
    fill: var(--timber);
    fill-rule: evenodd;
    stroke: var(--paper);
    stroke-width: 1.4;
  }

  .plank[data-tint='1'] {
    fill: color-mix(in srgb, var(--timber) 84%, var(--ink));
  }

  .plank[data-tint='2'] {
    fill: color-mix(in srgb, var(--timber) 86%, var(--paper));
  }

  .plank[data-tint='3'] {
    fill: color-mix(in srgb, var(--timber) 92%, var(--ink));
  }

  .frame {
    fill: color-mix(in srgb, var(--timber) 70%, var(--ink));
    fill-rule: evenodd;
    stroke: var(--paper);
  }

  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }

  .joint {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
    stroke-dasharray: 8 5;
  }

  .butt {
    stroke: var(--ink);
    stroke-width: 3;
    vector-effect: non-scaling-stroke;
  }

  .butt.clash {
    stroke: var(--stop);
    stroke-width: 5;
  }

  .butt.picked {
    stroke: var(--chalk);
    stroke-width: 7;
  }
</style>
