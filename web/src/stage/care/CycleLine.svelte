<script lang="ts">
  import type { JobHead, ZoneHead } from '../../api/types';
  import { jobHref } from '../../app/route.svelte';

  interface Props {
    job: JobHead;
    zone: ZoneHead;
  }

  let { job, zone }: Props = $props();
  const cycle = $derived(zone.report.cycle);
</script>

{#if cycle.number > 1}
  <p>
    <b>{cycle.label}{cycle.patch ? `, ${cycle.patch}` : ''}.</b>
    {cycle.what} <a href={jobHref(job.id, zone.id, 'history')}>What it went through before</a>
  </p>
{/if}

<style>
  p {
    margin-block: 6px 10px;
    padding-inline-start: 12px;
    border-inline-start: 4px solid var(--chalk);
  }
</style>
