<script lang="ts">
  import type { Corner, RoomPlan } from '../../api/types';
  import type { PlanView } from './planview.svelte';

  interface Props {
    plan: RoomPlan;
    view: PlanView;
    /** The room's edge as it is drawn now. */
    ring: readonly Corner[];
    /** While a corner moves, only what is certain is drawn. */
    moving: boolean;
  }

  let { plan, view, ring, moving }: Props = $props();
</script>

{#if moving || plan.pieces.length === 0}
  <path class="floor" d={view.path(ring)} />
{:else}
  {#each plan.pieces as piece, i (i)}
    <path
      class="floor"
      class:free={!piece.zoneId}
      fill-rule="evenodd"
      d={piece.rings.map((r) => view.path(r)).join('')}
    />
  {/each}
{/if}
{#each plan.openings as opening (opening.id)}
  <path class="opening" d={view.path(opening.ring)}><title>{opening.name}</title></path>
{/each}
{#if !moving}
  {#each plan.levels?.contours ?? [] as contour (contour.heightM)}
    <path class="contour" d={view.pieces(contour.xyM)} />
  {/each}
  {#each plan.levels?.spots ?? [] as spot, i (i)}
    <circle class="spot" cx={view.px(spot.at.x)} cy={view.py(spot.at.y)} r="9" />
  {/each}
{/if}
{#each plan.lines as line (line.id)}
  {#if line.kind !== 'DOOR' && line.kind !== 'EXIT'}
    <path class="line" data-kind={line.kind} d={view.path(line.points, false)} />
  {/if}
{/each}

<style>
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
</style>
