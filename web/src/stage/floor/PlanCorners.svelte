<script lang="ts">
  import type { Corner } from '../../api/types';
  import type { PlanGestures } from './plangestures.svelte';
  import type { PlanView } from './planview.svelte';
  import { type DrawnWall, inward } from './planwalls';

  interface Props {
    view: PlanView;
    gestures: PlanGestures;
    corners: readonly Corner[];
    walls: readonly DrawnWall[];
    hand: number;
  }

  let { view, gestures, corners, walls, hand }: Props = $props();

  /** A corner is called as the wall begins that goes on from it. */
  const letter = (i: number) => walls[i]?.name.split('–')[0] ?? '';
</script>

{#each corners as c, i (i)}
  {@const into = inward(corners, i, hand)}
  <g
    data-corner={i}
    role="button"
    tabindex="0"
    aria-label="Corner {letter(i)}: arrows move it"
    onkeydown={(e) => gestures.nudge(e, i)}
    onblur={gestures.settle}
  >
    <circle class="touch" cx={view.px(c.x)} cy={view.py(c.y)} r="22" />
    <text x={view.px(c.x) + into.x * 18} y={view.py(c.y) - into.y * 18 + 5}>{letter(i)}</text>
    <circle class="corner" cx={view.px(c.x)} cy={view.py(c.y)} r="6" />
  </g>
{/each}

<style>
  text {
    font: 600 15px var(--figures);
    fill: var(--ink-soft);
    text-anchor: middle;
    pointer-events: none;
    user-select: none;
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

  @media print {
    .touch,
    .corner {
      display: none;
    }
  }
</style>
