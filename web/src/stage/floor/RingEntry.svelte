<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Fault } from '../../api/call';
  import type { Corner, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import { cornersOf, withCorner, withoutLast } from './ring';
  import { type Sketch, inDrawing, sketch } from './sketch';

  interface Props {
    outline: readonly Corner[];
    units: Units;
    /** What it is the plan of: "North bay". */
    of: string;
    fault: Fault | undefined;
    /** Tapped or typed, the corners stand in one text: whoever cannot tap can type them. */
    typed: string;
    /** What lies on the floor besides. */
    besides?: Snippet<[Sketch]>;
  }

  let { outline, units, of, fault, typed = $bindable(), besides }: Props = $props();

  const WIDTH = 560;
  const HIGH = 250;
  const MARGIN = 16;

  let svg = $state<SVGSVGElement>();
  const fitted = $derived(sketch(outline, WIDTH, HIGH, MARGIN));
  /** As wide as the floor, so that a narrow one stands in the middle. */
  const wide = $derived((fitted.maxX - fitted.minX) * fitted.k + 2 * MARGIN);
  const drawn = $derived(sketch(outline, wide, HIGH, MARGIN));
  const ring = $derived(cornersOf(typed, units));

  function tap(event: PointerEvent) {
    if (svg) {
      const at = inDrawing(event, svg, wide);
      typed = withCorner(typed, drawn.floor(at.x, at.y), units);
    }
  }
</script>

<svg
  bind:this={svg}
  viewBox="0 0 {wide} {drawn.height}"
  style:max-inline-size="{wide}px"
  role="img"
  aria-label="Plan of {of}: tap round it, or type its corners below"
  onpointerdown={tap}
>
  <path class="floor" d={drawn.path(outline)} />
  {@render besides?.(drawn)}
  {#if ring.length > 1}<path class="ring" d={drawn.path(ring)} />{/if}
  {#each ring as corner, i (i)}
    <circle cx={drawn.px(corner.x)} cy={drawn.py(corner.y)} r="5" />
  {/each}
</svg>
<TextEntry
  label="Corners"
  hint="{units === 'US' ? 'feet' : 'metres'} along the first wall and off it: 1 1; 3 1; 3 2"
  {fault}
  bind:value={typed}
/>
<Button kind="quiet" disabled={ring.length === 0} onclick={() => (typed = withoutLast(typed))}
  >Take back a corner</Button
>

<style>
  svg {
    display: block;
    inline-size: 100%;
    margin-inline: auto;
    cursor: crosshair;
    touch-action: manipulation;
    margin-block-end: 8px;
  }

  .floor {
    fill: #ffffff;
    stroke: var(--ink);
    stroke-width: 3;
  }

  .ring {
    fill: var(--stop);
    fill-opacity: 0.16;
    stroke: var(--stop);
    stroke-width: 2;
  }

  circle {
    fill: var(--stop);
  }
</style>
