<script lang="ts">
  import type { RoomPlan } from '../../api/types';
  import type { PlanView } from './planview.svelte';
  import { type DrawnWall, halfway, labelAt, readable } from './planwalls';

  interface Props {
    plan: RoomPlan;
    view: PlanView;
    walls: readonly DrawnWall[];
    /** Whether they are walked with the floor on the left: 1, else -1. */
    hand: number;
    /** Which wall is being typed, by run. */
    chosen: string;
    /** The corner that is being dragged. */
    held: number | undefined;
    onchoose: (run: string) => void;
  }

  let { plan, view, walls, hand, chosen, held, onchoose }: Props = $props();

  let settled: Record<string, boolean> = {};
  /** While a corner moves, the words of the walls beside it are not shown and the others stay. */
  const shown = $derived.by(() =>
    held === undefined ? (settled = readable(walls, hand, view)) : settled,
  );
  const gap = $derived(
    plan.closed.method === 'OPEN' && held === undefined
      ? [plan.closed.walked.at(-1), plan.closed.walked[0]].filter((c) => c !== undefined)
      : [],
  );
</script>

{#each walls as wall, i (wall.run)}
  <path
    class="wall"
    class:chosen={wall.run === chosen}
    class:doubted={plan.closed.suspects.some((s) => s.id === wall.run)}
    d={view.path(wall.points, false)}
  />
  <path
    class="reach"
    role="presentation"
    d={view.path(wall.points, false)}
    onclick={() => onchoose(wall.run)}
  />
  {#if shown[wall.run]}
    {@const at = labelAt(wall, hand, view)}
    <text transform="translate({at.x} {at.y}) rotate({wall.turned})" dy="5"
      >{held === i || held === (i + 1) % walls.length ? '' : wall.text}</text
    >
  {/if}
{/each}
{#if held === undefined}
  {#each plan.lines as line (line.id)}
    {#if line.kind === 'DOOR' || line.kind === 'EXIT'}
      {@const mid = halfway(line.points, hand)}
      <path class="door" d={view.path(line.points, false)} />
      {#if line.kind === 'EXIT'}
        <text class="exit" x={view.px(mid.x) + mid.in.x * 30} y={view.py(mid.y) - mid.in.y * 30 + 5}
          >way out</text
        >
      {/if}
    {/if}
  {/each}
{/if}
{#if gap.length === 2}<path class="gap" d={view.path(gap, false)} />{/if}

<style>
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

  .door {
    stroke: var(--paper);
    stroke-width: 5;
    pointer-events: none;
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

  .exit {
    fill: var(--go);
    font-size: 15px;
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 5px;
  }
</style>
