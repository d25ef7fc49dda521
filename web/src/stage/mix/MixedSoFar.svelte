<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { outbox } from '../../app/outbox.svelte';
  import { jobHref } from '../../app/route.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { when } from '../../parts/time';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  /** Mixed without a signal. */
  const held = $derived(outbox.of(zone.id, 'BATCH', layer.id));
  const { logged, earlier } = $derived(zone.batches);
  const marks = { GO: 'GO', ADD: 'HOLD', DISCARD: 'STOP' } as const;
</script>

{#if logged.length + held.length > 0}
  <h3>{layer.role === 'BROADCAST' ? 'Thrown' : 'Mixed'} so far</h3>
  {#if earlier > 0}
    <p><a href={jobHref(job.id, zone.id, 'log')}>{earlier} before these, in the logbook</a></p>
  {/if}
  <ul>
    {#each logged as batch (batch.key)}
      <li>
        <b>{batch.number}</b>
        {batch.amount} over {batch.area}{batch.bay ? `, ${batch.bay}` : ''}{batch.lot
          ? `, lot ${batch.lot}`
          : ''}
        <small>{batch.by}, {when(new Date(batch.at), job.facts.timeZone, appClock.now)}</small>
        {#if batch.weighed}
          <Mark mark={marks[batch.weighed.call]} />
          <small
            >{batch.weighed.parts.map((p) => `${p.part} ${p.shown?.text ?? ''}`).join(', ')}</small
          >
        {/if}
      </li>
    {/each}
    {#each held as batch (batch.key)}
      <li>
        {batch.form.values[layer.batchFields[0]?.id ?? '']} over {batch.form.values['area']}
        <small
          >{batch.form.by}, {when(new Date(batch.form.at), job.facts.timeZone, appClock.now)}, waits
          for a signal</small
        >
      </li>
    {/each}
  </ul>
{/if}

<style>
  h3 {
    font-size: 18px;
    margin-block: 14px 4px;
  }

  small {
    font-size: 14px;
    color: var(--ink-soft);
  }

  li {
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }
</style>
