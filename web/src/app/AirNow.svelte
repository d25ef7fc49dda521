<script lang="ts">
  import type { ZoneHead } from '../api/types';
  import type { JobDesk } from './job.svelte';

  interface Props {
    desk: JobDesk;
    zone: ZoneHead | null;
  }

  let { desk, zone }: Props = $props();

  const air = $derived(zone?.report.climate?.values);
  const margin = $derived(zone?.report.dew);
</script>

{#if air}
  <dl>
    <div>
      <dt>air</dt>
      <dd>{air['air']?.typed}</dd>
    </div>
    <div>
      <dt>humidity</dt>
      <dd>{air['rh']?.typed}</dd>
    </div>
    <div>
      <dt>slab</dt>
      <dd>{air['slab']?.typed}</dd>
    </div>
    {#if margin?.working}
      <div>
        <dt>above dew point</dt>
        <dd>
          <button type="button" onclick={() => desk.open(margin.working, margin)}
            >{margin.working.text}</button
          >
        </dd>
      </div>
    {/if}
  </dl>
{/if}

<style>
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
  }

  dt {
    font-size: 12px;
    line-height: 1.1;
    color: var(--ink-soft);
    white-space: nowrap;
  }

  dd {
    font: 600 20px/1.1 var(--figures);
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }

  dd button {
    border: 0;
    padding: 0;
    background: none;
    font: inherit;
    cursor: pointer;
    border-block-end: 2px dotted var(--chalk);
  }
</style>
