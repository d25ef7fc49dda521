<script lang="ts">
  import type { Buying } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';
  import { money } from '../buy/money';

  interface Props {
    buying: Buying;
    /** the zone it is looked at from */
    zone: string;
    /** Where all of it is bought. */
    href: string;
  }

  let { buying, zone, href }: Props = $props();
</script>

<section>
  <h2>To buy</h2>
  {#if buying.uses.length > 1}
    <p class="shared">
      One bill for all: <FigureButton figure={buying.amount} />
      {#each buying.uses as use (use.zone + use.layer)}
        <small>{use.zone === zone ? 'here' : use.name} {use.amount.text}</small>
      {/each}
    </p>
  {/if}
  {#if buying.toBuy.value === 0}
    <p>Nothing: what is on the site, on its way or in the store is enough.</p>
  {:else if buying.lines.length > 0}
    <ul>
      {#each buying.lines as line (line.pack)}
        <li>
          <b>{line.count} ×</b>
          {line.pack} <span>{money(line.count * line.eachCents)}</span>
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
  <a {href}>All that is bought</a>
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

  a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
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
