<script lang="ts">
  import type { RackItem } from '../api/types';
  import { appClock } from '../app/clock.svelte';
  import CoreDrawing from '../core-sample/CoreDrawing.svelte';
  import Mark from '../parts/Mark.svelte';
  import { left, when } from '../parts/time';

  interface Props {
    item: RackItem;
    href: string;
  }

  let { item, href }: Props = $props();
  const next = $derived(item.lead?.next);
  const at = $derived(next?.at ? new Date(next.at) : null);
  const countdown = $derived(
    at ? left(at, appClock.now) : next && next.urgency !== 'RESTS' ? 'now' : '—',
  );
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
      <span class="count">{countdown}</span>
      {#if next}
        <Mark mark={next.mark} word={next.word} />
        <span class="label">
          {next.label}{#if at && countdown !== 'now'}, {when(at, item.timeZone, appClock.now)}{/if}
        </span>
      {/if}
      {#if item.zones > 1}<span class="soft">{item.lead.name}, one of {item.zones} zones</span>{/if}
    {:else if item.zones > 0}
      <span class="soft">{item.zones === 1 ? '1 zone' : `${item.zones} zones`}, put away</span>
    {:else}
      <span class="soft">no zone measured yet</span>
    {/if}
  </span>
</a>

<style>
  a {
    display: grid;
    gap: 14px;
    padding: 10px;
    color: inherit;
    text-decoration: none;
    border-block-start: 3px solid transparent;
  }

  a:hover {
    background: var(--paper);
    border-color: var(--chalk);
  }

  .core {
    display: block;
    min-block-size: 320px;
    justify-self: start;
  }

  .words {
    display: grid;
    gap: 3px;
    justify-items: start;
    align-content: start;
  }

  .name {
    font-weight: 600;
    font-size: 17px;
    line-height: 1.2;
    min-block-size: 2.4em;
    display: flex;
    align-items: end;
  }

  .soft {
    font-size: 13px;
    color: var(--ink-soft);
  }

  .count {
    font: 600 36px/1.1 var(--figures);
    font-variant-numeric: tabular-nums;
    margin-block-start: 4px;
  }

  .label {
    font-size: 14px;
    line-height: 1.35;
  }

  @media (max-width: 700px) {
    a {
      grid-template-columns: 64px 1fr;
      padding: 12px 4px;
      border-block-start: 1px solid var(--line);
    }

    .core {
      min-block-size: 0;
      inline-size: 56px;
    }

    .name {
      min-block-size: 0;
    }

    .core :global(svg) {
      inline-size: 56px;
      block-size: 176px;
    }

    .count {
      font-size: 32px;
    }
  }
</style>
