<script lang="ts">
  import type { LayerReport } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  let { takeOff }: { takeOff: LayerReport['takeOff'] } = $props();
  const money = (cents: number) => (cents / 100).toFixed(2);
</script>

<section>
  <h2>To buy</h2>
  {#if takeOff.cover}
    <ul>
      {#each takeOff.cover.kits as bought (bought.kit.label)}
        <li>
          <b>{bought.count} ×</b>
          {bought.kit.label} <span>{money(bought.count * bought.kit.priceCents)}</span>
        </li>
      {/each}
      <li class="sum">
        cheapest whole kits that hold enough
        {#if takeOff.cost}<span><FigureButton figure={takeOff.cost} /></span>{/if}
      </li>
    </ul>
    {#if takeOff.leftover}<p>
        Left over for touch-ups <FigureButton figure={takeOff.leftover} />
        <small>{takeOff.leftover.also}</small>
      </p>{/if}
  {:else}
    <p>The sheet lists no kit sizes.</p>
  {/if}
</section>

<style>
  section {
    margin-block-start: 20px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 4px;
  }

  li {
    display: flex;
    gap: 8px;
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }

  li span {
    margin-inline-start: auto;
    font: 600 18px var(--figures);
    font-variant-numeric: tabular-nums;
  }

  b {
    font: 600 18px var(--figures);
  }

  .sum,
  small {
    color: var(--ink-soft);
  }
</style>
