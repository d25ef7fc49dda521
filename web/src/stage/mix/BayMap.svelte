<script lang="ts">
  import type { FloorBays } from '../../api/types';
  import { sketch } from '../floor/sketch';

  interface Props {
    /** In the order in which they are coated. */
    floors: readonly FloorBays[];
    /** Which bay of which floor is looked at, and which comes next. */
    at: BayAt;
    next: BayAt | null;
  }

  interface BayAt {
    floor: number;
    bay: number;
  }

  let { floors, at, next }: Props = $props();

  const WIDTH = 640;
  const id = $props.id();
  const drawn = $derived(
    sketch(
      floors.flatMap((f) => f.floor.flatMap((rings) => rings[0] ?? [])),
      WIDTH,
      460,
      26,
    ),
  );
  const looked = $derived(floors[at.floor]?.bays[at.bay]);
  const ribbons = $derived(floors[at.floor]?.onto.poured ? (looked?.laid.ribbons ?? []) : []);
  const line = (corners: readonly { x: number; y: number }[]) =>
    corners.map((c, k) => `${k === 0 ? 'M' : 'L'}${drawn.px(c.x)} ${drawn.py(c.y)}`).join('');
  /** How far it is from where one stands: of several floors, those before it count. */
  const before = (floor: number) =>
    floors.slice(0, floor).reduce((sum, f) => sum + f.bays.length, 0);
</script>

<svg
  viewBox="0 0 {WIDTH} {drawn.height}"
  role="img"
  aria-label={floors
    .map(
      (f) =>
        `${f.zone} in bays: ${f.bays.map((b) => `${b.laid.name} ${b.laid.area.text}`).join(', ')}`,
    )
    .join('; ')}
>
  <defs>
    <marker
      id="{id}-tip"
      viewBox="0 0 8 8"
      refX="7"
      refY="4"
      markerWidth="5"
      markerHeight="5"
      orient="auto"><path d="M0 0L8 4L0 8z" /></marker
    >
  </defs>
  {#each floors as floor, f (floor.zoneId)}
    {#each floor.bays as bay, i (bay.laid.name)}
      <path
        class="bay"
        class:next={next?.floor === f && next.bay === i}
        data-mark={bay.mark}
        d={bay.laid.rings.map(drawn.path).join('')}
      />
    {/each}
    {#each floor.joints as joint, i (i)}<path class="joint" d={line(joint)} />{/each}
    <!-- where one floor ends and the next begins -->
    {#if floors.length > 1}
      {#each floor.floor as rings, i (i)}<path
          class="edge"
          d={rings.map(drawn.path).join('')}
        />{/each}
    {/if}
  {/each}
  {#if looked}<path class="looked" d={looked.laid.rings.map(drawn.path).join('')} />{/if}
  {#each ribbons as [from, to], i (i)}
    {#if from && to}<line
        class="ribbon"
        x1={drawn.px(from.x)}
        y1={drawn.py(from.y)}
        x2={drawn.px(to.x)}
        y2={drawn.py(to.y)}
        marker-end="url(#{id}-tip)"
      />{/if}
  {/each}
  {#each floors as floor, f (floor.zoneId)}
    {#each floor.bays as bay, i (bay.laid.name)}
      <text x={drawn.px(bay.laid.label.x)} y={drawn.py(bay.laid.label.y)}>{before(f) + i + 1}</text>
    {/each}
    {#each floor.outs as out, i (i)}
      <g
        class={floor.over ? 'over' : 'out'}
        transform="translate({drawn.px(out.x)} {drawn.py(out.y)})"
      >
        <circle r="6" />{#if !floor.over}<text y="-10">out</text>{/if}
      </g>
    {/each}
  {/each}
</svg>

<style>
  svg {
    inline-size: 100%;
  }

  .bay {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2;
    fill-rule: evenodd;
  }

  .bay[data-mark='DONE'] {
    fill: var(--wet-wash);
  }

  .bay[data-mark='IN_HAND'] {
    fill: var(--hold-wash);
  }

  .bay.next {
    fill: var(--chalk-wash);
  }

  .looked {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 3;
  }

  .joint {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 7 5;
  }

  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 4;
  }

  .ribbon {
    stroke: var(--chalk);
    stroke-width: 3;
  }

  marker path {
    fill: var(--chalk);
  }

  text {
    font: 600 26px var(--figures);
    text-anchor: middle;
    dominant-baseline: middle;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 6px;
  }

  .out circle {
    fill: var(--go);
  }

  .over circle {
    fill: var(--ink-soft);
  }

  .out text {
    font-size: 17px;
    fill: var(--go);
  }
</style>
