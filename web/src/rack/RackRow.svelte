<script lang="ts">
  import type { RackItem } from '../api/types';
  import { appClock } from '../app/clock.svelte';
  import CoreStrip from '../core-sample/CoreStrip.svelte';
  import Mark from '../parts/Mark.svelte';
  import { countdown } from './next';

  interface Props {
    item: RackItem;
    href: string;
  }

  let { item, href }: Props = $props();
  const next = $derived(countdown(item, appClock.now));
</script>

<a {href}>
  <span class="core"
    >{#if item.lead}<CoreStrip strata={item.lead.strata} name={item.name} />{/if}</span
  >
  <span class="name"
    ><b>{item.name}</b>{#if item.lead}<i
        >{item.lead.area}{item.zones > 1 ? `, ${item.zones} zones` : ''}</i
      >{/if}</span
  >
  <span class="count">{next.left}</span>
  <span class="label"
    >{#if item.lead}<Mark mark={item.lead.next.mark} word={item.lead.next.word} />{/if}<span
      >{next.label}</span
    ></span
  >
</a>

<style>
  a {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr) auto;
    gap: 0 12px;
    align-items: center;
    padding-block: 6px;
    border-block-end: 1px solid var(--line);
    color: inherit;
    text-decoration: none;
  }

  a:hover {
    background: var(--paper);
  }

  .core {
    grid-row: span 2;
    block-size: 26px;
  }

  .name {
    display: flex;
    align-items: baseline;
    gap: 10px;
    min-inline-size: 0;
  }

  .name b {
    font-weight: 600;
    font-size: 16px;
    line-height: 1.25;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  i {
    flex: none;
    font-style: normal;
    font-size: 13px;
    color: var(--ink-soft);
  }

  .count {
    font: 600 22px/1.1 var(--figures);
    font-variant-numeric: tabular-nums;
    text-align: end;
  }

  .label {
    grid-column: 2 / -1;
    display: flex;
    align-items: baseline;
    gap: 10px;
    min-inline-size: 0;
    font-size: 13px;
    color: var(--ink-soft);
  }

  .label span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
</style>
