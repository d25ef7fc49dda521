<script lang="ts">
  import type { Buying } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  interface Props {
    buying: Buying;
    /** the zone it is looked at from */
    zone: string;
  }

  let { buying, zone }: Props = $props();
  const money = (cents: number) => (cents / 100).toFixed(2);
</script>

<section>
  <h2>To buy</h2>
  {#if buying.uses.length > 1}
    <p class="shared">
      One bill for the job: <FigureButton figure={buying.amount} />
      {#each buying.uses as use (use.zone + use.layer)}
        <small>{use.zone === zone ? 'here' : use.name} {use.amount.text}</small>
      {/each}
    </p>
  {/if}
  {#if buying.cover}
    <ul>
      {#each buying.cover.kits as bought (bought.kit.label)}
        <li>
          <b>{bought.count} ×</b>
          {bought.kit.label} <span>{money(bought.count * bought.kit.priceCents)}</span>
        </li>
      {/each}
      <li class="sum">
        cheapest whole kits that hold enough
        {#if buying.cost}<span><FigureButton figure={buying.cost} /></span>{/if}
      </li>
    </ul>
    {#if buying.leftover}<p>
        Left over for touch-ups <FigureButton figure={buying.leftover} />
        <small>{buying.leftover.also}</small>
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

  .shared {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    padding-block-end: 6px;
  }

  .sum,
  small {
    color: var(--ink-soft);
  }
</style>
