<script lang="ts">
  import type { RackItem } from '../api/types';
  import { appClock } from '../app/clock.svelte';
  import CoreDrawing from '../core-sample/CoreDrawing.svelte';
  import Mark from '../parts/Mark.svelte';
  import { countdown } from './next';

  interface Props {
    item: RackItem;
    href: string;
  }

  let { item, href }: Props = $props();
  /** How many of the other zones are named. */
  const BESIDE = 3;
  const next = $derived(countdown(item, appClock.now));
</script>

<a {href}>
  <span class="core">
    {#if item.lead}
      <CoreDrawing strata={item.lead.strata} name={item.name} width={92} height={290} />
    {/if}
  </span>
  <span class="words">
    <span class="name">{item.name}</span>
    {#if item.lead}
      <span class="soft">{item.lead.system}, {item.lead.area}</span>
      <span class="count">{next.left}</span>
      <Mark mark={item.lead.next.mark} word={item.lead.next.word} />
      <span class="label">{next.label}</span>
      {#if item.beside.length > 0}
        <span class="soft">{item.lead.name}; beside it:</span>
        {#each item.beside.slice(0, BESIDE) as zone (zone.id)}
          <span class="soft beside">{zone.name} <Mark mark={zone.mark} word={zone.word} /></span>
        {/each}
        {#if item.beside.length > BESIDE}<span class="soft"
            >and {item.beside.length - BESIDE} more</span
          >{/if}
      {/if}
    {/if}
  </span>
</a>

<style>
  a {
    display: grid;
    grid-template-columns: 58px 1fr;
    gap: 14px;
    padding: 10px 4px;
    color: inherit;
    text-decoration: none;
  }

  a:hover {
    background: var(--paper);
  }

  .core {
    inline-size: 58px;
  }

  .core :global(svg) {
    inline-size: 58px;
    block-size: 182px;
  }

  .words {
    display: grid;
    gap: 2px;
    justify-items: start;
    align-content: start;
  }

  .name {
    font-weight: 600;
    font-size: 17px;
    line-height: 1.2;
  }

  .soft {
    font-size: 13px;
    color: var(--ink-soft);
  }

  .beside {
    display: flex;
    flex-wrap: wrap;
    gap: 0 8px;
  }

  .count {
    font: 600 34px/1.1 var(--figures);
    font-variant-numeric: tabular-nums;
    margin-block-start: 2px;
  }

  .label {
    font-size: 14px;
    line-height: 1.3;
  }

  @media (max-width: 700px) {
    .core :global(svg) {
      block-size: 128px;
    }
  }
</style>
