<script lang="ts">
  import type { JobHead, ZoneHead } from '../api/types';
  import JobDialog from '../rack/JobDialog.svelte';
  import ZoneDialog from '../stage/floor/ZoneDialog.svelte';
  import { clock, weekday } from '../parts/time';
  import AirNow from './AirNow.svelte';
  import JobDoors from './JobDoors.svelte';
  import PhoneHeader from './PhoneHeader.svelte';
  import TopBar from './TopBar.svelte';
  import { appClock } from './clock.svelte';
  import type { JobDesk } from './job.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead | null;
    /** Whether the screen is a phone's. */
    narrow: boolean;
  }

  let { desk, job, zone, narrow }: Props = $props();
  let dialog = $state<'none' | 'job' | 'zone'>('none');
  const open = (which: 'job' | 'zone') => (dialog = which);
</script>

{#if narrow}
  <PhoneHeader {desk} {job} {zone} onopen={open} />
{:else}
  <TopBar>
    <div class="where">
      <b>{job.facts.name}</b>
      <JobDoors {job} {zone} onopen={open} />
    </div>
    {#snippet actions()}
      <AirNow {desk} {zone} />
      <p class="now">
        <span>now</span>
        {weekday(appClock.now, job.facts.timeZone)}
        {clock(appClock.now, job.facts.timeZone)}
      </p>
    {/snippet}
  </TopBar>
{/if}

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

  .now {
    margin-inline-start: 10px;
    font: 600 20px/1.1 var(--figures);
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
  }

  .now span {
    display: block;
    font: 12px/1.1 var(--text);
    color: var(--ink-soft);
  }
</style>
