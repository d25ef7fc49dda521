<script lang="ts">
  import { onDestroy } from 'svelte';
  import type { RoomPlan, Units, ZoneHead } from '../../api/types';
  import PlanCorners from './PlanCorners.svelte';
  import PlanFloor from './PlanFloor.svelte';
  import { PlanGestures } from './plangestures.svelte';
  import { PlanView } from './planview.svelte';
  import { drawnWalls, handed } from './planwalls';
  import PlanWalls from './PlanWalls.svelte';

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

  const view = new PlanView(
    () => plan,
    () => units,
  );
  const gestures = new PlanGestures(
    view,
    () => plan.closed.corners,
    (corner, x, y) => onmove(corner, x, y),
  );
  const drag = $derived(gestures.drag);
  /** The corners as they are drawn now: one of them may be under a finger. */
  const corners = $derived(
    plan.closed.corners.map((c, i) => (drag?.corner === i ? { x: drag.x, y: drag.y } : c)),
  );
  const walls = $derived(drawnWalls(plan, corners, drag?.corner, view.k));
  const hand = $derived(handed(corners));
  const ring = $derived(walls.flatMap((w) => w.points.slice(0, -1)));

  const zoneName = (id: string | undefined) => zones.find((z) => z.id === id)?.report.name;

  export function zoom(by: number): void {
    view.zoom(by);
  }

  export function fitAll(): void {
    view.fitAll();
  }

  onDestroy(gestures.settle);
</script>

<svelte:window onpagehide={gestures.settle} />

<div
  class="frame"
  bind:clientWidth={view.width}
  bind:clientHeight={view.height}
  style:background-size="{view.bar.px}px {view.bar.px}px"
  style:background-position="{view.px(0)}px {view.py(0)}px"
>
  <svg
    bind:this={gestures.svg}
    width={view.width}
    height={view.height}
    role="group"
    aria-label="Plan of {plan.name}"
    onpointerdown={gestures.down}
    onpointermove={gestures.move}
    onpointerup={gestures.up}
    onpointercancel={gestures.cancel}
    {@attach gestures.wheel}
  >
    <PlanFloor {plan} {view} {ring} moving={drag !== null} />
    <PlanWalls {plan} {view} {walls} {hand} {chosen} held={drag?.corner} {onchoose} />
    {#if !drag}
      {#each plan.pieces as piece, i (i)}
        <text class="name" x={view.px(piece.label.x)} y={view.py(piece.label.y)}
          >{zoneName(piece.zoneId) ?? ''}</text
        >
      {/each}
    {/if}
    <PlanCorners {view} {gestures} {corners} {walls} {hand} />
    <g
      class="north"
      transform="translate({view.width - 34} 40) rotate({north})"
      aria-label="North"
      role="img"
    >
      <path d="M0 16V-12M-6 -2L0 -12L6 -2" />
      <text transform="translate(0 -22) rotate({-north})" dy="6">N</text>
    </g>
    <g class="bar" transform="translate(14 {view.height - 14})" aria-hidden="true">
      <path d="M0 -6V0H{view.bar.px}V-6" />
      <text x={view.bar.px + 8} y="1">{view.bar.text}</text>
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

  .north path {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
  }

  .north text {
    fill: var(--ink-soft);
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
  }
</style>
