<script lang="ts">
  import { jobFileUrl } from '../api/client';
  import type { JobHead, ZoneHead } from '../api/types';
  import JobDialog from '../rack/JobDialog.svelte';
  import ZoneDialog from '../stage/floor/ZoneDialog.svelte';
  import { clock, weekday } from '../parts/time';
  import TopBar from './TopBar.svelte';
  import { appClock } from './clock.svelte';
  import type { JobDesk } from './job.svelte';
  import { jobHref } from './route.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead | null;
  }

  let { desk, job, zone }: Props = $props();
  let dialog = $state<'none' | 'job' | 'zone'>('none');

  const air = $derived(zone?.report.climate?.values);
  const margin = $derived(zone?.report.dew);
</script>

<TopBar>
  <div class="where">
    <b>{job.facts.name}</b>
    {#if job.zones.length > 0}
      <ol aria-label="Zones">
        {#each job.zones as z (z.id)}
          <li>
            <a href={jobHref(job.id, z.id)} aria-current={z.id === zone?.id ? 'true' : undefined}
              >{z.report.name}</a
            >
          </li>
        {/each}
      </ol>
    {/if}
    <ul>
      <li><button type="button" onclick={() => (dialog = 'zone')}>New zone</button></li>
      <li><button type="button" onclick={() => (dialog = 'job')}>Job</button></li>
      {#if zone}
        <li><a href={jobHref(job.id, zone.id, 'plan')}>Plan</a></li>
        <li><a href={jobHref(job.id, zone.id, 'log')}>Logbook</a></li>
      {/if}
      <li><a href={jobFileUrl(job.id)} download>Export</a></li>
    </ul>
  </div>
  {#snippet actions()}
    <dl>
      {#if air}
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
      {/if}
      <div>
        <dt>now</dt>
        <dd>
          {weekday(appClock.now, job.facts.timeZone)}
          {clock(appClock.now, job.facts.timeZone)}
        </dd>
      </div>
    </dl>
  {/snippet}
</TopBar>

{#if dialog === 'job'}
  <JobDialog {job} onsave={(key, form) => desk.edit(key, form)} onclose={() => (dialog = 'none')} />
{:else if dialog === 'zone'}
  <ZoneDialog {desk} {job} onclose={() => (dialog = 'none')} />
{/if}

<style>
  .where {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 14px;
  }

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

  dl {
    display: flex;
    gap: 18px;
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

  @media (max-width: 759px) {
    dl {
      gap: 14px;
      flex-wrap: wrap;
      padding-block-end: 6px;
    }

    dd {
      font-size: 17px;
    }
  }
</style>
