<script lang="ts">
  import type { JobHead, ServiceZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { handoverUrl } from '../../api/client';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { jobHref } from '../../app/route.svelte';
  import { left, longDate } from '../../parts/time';
  import ClockLadder from '../mix/ClockLadder.svelte';

  interface Props {
    job: JobHead;
    zone: ServiceZone;
  }

  let { job, zone }: Props = $props();
  const service = $derived(zone.report.service);
  const due = $derived(service.reseal ? new Date(service.reseal.due) : null);
</script>

<header>
  <h1>In service</h1>
  <Mark mark={service.mark} />
  <a href={handoverUrl(job.id, zone.id)} target="_blank" rel="noopener">Handover (PDF)</a>
  <a href={jobHref(job.id, zone.id, 'history')}>What it went through, and the next time</a>
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

{#if service.leaving.length > 0}
  <section aria-labelledby="leaving-head">
    <h2 id="leaving-head">Before you leave</h2>
    <ol class="leaving">
      {#each service.leaving as thing (thing)}<li>{thing}</li>{/each}
    </ol>
  </section>
{/if}
{#if service.ladder.length > 0}
  <ClockLadder clocks={service.ladder} timeZone={job.facts.timeZone} started={service.started} />
{/if}
{#if service.asked.length > 0}
  <section aria-labelledby="asked-head">
    <h2 id="asked-head">What its use asks of the finished floor</h2>
    <table>
      <thead><tr><th>test</th><th>asked</th><th>found</th><th>word</th></tr></thead>
      <tbody>
        {#each service.asked as ask (ask.method)}
          <tr>
            <td>{ask.title}<small>{ask.because} {ask.source.sentence}</small></td>
            <td class="figure">{ask.needed}</td>
            <td class="figure">{ask.found}</td>
            <td><Mark mark={ask.verdict} /></td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}
<p class="soft">
  {service.care} Any coated floor is slippery when wet: the sheet and local rules say what grit it needs.
</p>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 4px 16px;
    flex-wrap: wrap;
  }

  header a:first-of-type {
    margin-inline-start: auto;
  }

  h1 {
    font-size: 30px;
  }

  section {
    margin-block-start: 20px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  .leaving {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
    gap: 6px 24px;
    font-size: 15px;
  }

  .leaving li {
    padding-inline-start: 10px;
    border-inline-start: 3px solid var(--chalk);
  }

  td {
    padding: 6px 16px 6px 0;
    vertical-align: top;
    border-block-start: 1px solid var(--line);
  }

  td small {
    display: block;
    color: var(--ink-soft);
  }

  .figure {
    font: 500 17px var(--figures);
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
