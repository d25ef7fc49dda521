<script lang="ts">
  import { jobFileUrl } from '../api/client';
  import type { JobHead, ZoneHead } from '../api/types';
  import { jobHref, practicesHref } from './route.svelte';

  interface Props {
    job: JobHead;
    zone: ZoneHead | null;
    onopen: (dialog: 'job' | 'zone') => void;
  }

  let { job, zone, onopen }: Props = $props();
</script>

{#if job.zones.length > 0}
  <ol aria-label="Zones">
    {#each job.zones as z (z.id)}
      <li>
        <a
          href={jobHref(job.id, z.id, z.report.next.stratum)}
          aria-current={z.id === zone?.id ? 'true' : undefined}>{z.report.name}</a
        >
      </li>
    {/each}
  </ol>
{/if}
<ul>
  <li><button type="button" onclick={() => onopen('zone')}>New zone</button></li>
  <li><button type="button" onclick={() => onopen('job')}>Job</button></li>
  {#if zone}
    <li><a href={jobHref(job.id, zone.id, 'plan')}>Plan</a></li>
    <li><a href={jobHref(job.id, zone.id, 'buy')}>Buy</a></li>
    <li><a href={jobHref(job.id, zone.id, 'log')}>Logbook</a></li>
  {/if}
  <li><a href={practicesHref(job.id)}>Practices</a></li>
  <li><a href={jobFileUrl(job.id)} download>Export</a></li>
</ul>

<style>
  ol,
  ul {
    display: flex;
    flex-wrap: wrap;
  }

  ol a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 10px;
    color: var(--ink);
    text-decoration: none;
  }

  ol a[aria-current] {
    font-weight: 600;
    box-shadow: inset 0 -3px 0 var(--chalk);
  }

  ul a,
  ul button {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    min-inline-size: var(--tap);
    justify-content: center;
    padding: 0 8px;
    border: 0;
    background: none;
    color: var(--chalk);
    font-size: 14px;
    text-decoration: none;
    cursor: pointer;
  }

  ul a:hover,
  ul button:hover {
    text-decoration: underline;
  }

  @media (max-width: 759px) {
    ol,
    ul {
      display: grid;
    }

    ul {
      grid-template-columns: 1fr 1fr;
    }

    ol a,
    ul a,
    ul button {
      inline-size: 100%;
      min-block-size: 48px;
      justify-content: start;
      padding: 0 12px;
      border-block-end: 1px solid var(--line);
      font-size: 16px;
    }

    ol a[aria-current] {
      box-shadow: inset 4px 0 0 var(--chalk);
    }
  }
</style>
