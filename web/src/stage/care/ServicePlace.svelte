<script lang="ts">
  import type { JobView, ZoneView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { left, longDate } from '../../parts/time';
  import ClockLadder from '../mix/ClockLadder.svelte';

  interface Props {
    job: JobView;
    zone: ZoneView;
  }

  let { job, zone }: Props = $props();
  const service = $derived(zone.report.service);
  const due = $derived(service.reseal ? new Date(service.reseal.due) : null);
</script>

<header>
  <h1>In service</h1>
  <Mark mark={service.mark} />
</header>

<div class="due">
  {#if service.reseal && due}
    <p class="label">due to be resealed</p>
    <p class="date">{longDate(due, job.facts.timeZone)}</p>
    <p>
      {due > appClock.now ? `in ${left(due, appClock.now)}` : 'overdue'}; the top coat lasts <FigureButton
        figure={service.reseal.interval}
      /> here
    </p>
  {:else}
    <p class="label">due to be resealed</p>
    <p class="date">not known yet</p>
    <p>{service.whyNoReseal}</p>
  {/if}
</div>

{#if service.ladder.length > 0}
  <ClockLadder clocks={service.ladder} timeZone={job.facts.timeZone} started={service.started} />
{/if}
<p class="soft">
  Fading, or water that no longer beads, is the cue to come sooner. No rubber-backed mats, no shine
  polishes. A gloss floor is slippery when wet: the sheet and local rules say what grit it needs.
</p>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 16px;
  }

  h1 {
    font-size: 30px;
  }

  .due {
    padding-block: 12px 16px;
    border-block-end: 4px solid var(--ink);
  }

  .label {
    font-size: 13px;
    color: var(--ink-soft);
  }

  .date {
    font: 600 42px/1.15 var(--figures);
  }

  .soft {
    margin-block-start: 18px;
    max-inline-size: 60ch;
    color: var(--ink-soft);
  }
</style>
