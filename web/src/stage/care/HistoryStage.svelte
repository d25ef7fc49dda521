<script lang="ts">
  import type { CycleReport, JobHead, ServiceZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import { FormState } from '../../parts/form.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { dayMonth, longDate, year } from '../../parts/time';
  import NextCycle from './NextCycle.svelte';
  import PastCycle from './PastCycle.svelte';
  import PatchPlace from './PatchPlace.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ServiceZone;
  }

  let { desk, job, zone }: Props = $props();
  const back = new FormState();

  const zoneTime = $derived(job.facts.timeZone);
  const newest = $derived([...zone.report.cycles].reverse());
  const current = $derived(newest[0]);
  const yearOf = (c: CycleReport) => (c.began ? year(new Date(c.began), zoneTime) : '');

  function takeBack(number: number) {
    void back.send([zone.id, number], (key) => desk.takeCycleBack(zone.id, number, key));
  }
</script>

<header>
  <h1>What this floor went through</h1>
  <a href={jobHref(job.id, zone.id, 'service')}>In service</a>
</header>
<Trouble problem={back.problem} shown={[]} />

<ol class="years">
  {#each newest as cycle, i (cycle.number)}
    <li class:current={cycle === current}>
      <span class="year"
        >{yearOf(cycle) === yearOf(newest[i - 1] ?? cycle) && i > 0 ? '' : yearOf(cycle)}</span
      >
      <div>
        <h2>
          {cycle.label}{cycle.patch ? `, ${cycle.patch}` : ''}
          {#if cycle === current}<small>the one it is in</small>{/if}
        </h2>
        <p class="soft">
          {cycle.began
            ? longDate(new Date(cycle.began), zoneTime)
            : 'Nothing was done yet'}{cycle.by ? `, ${cycle.by}` : ''}{cycle.why
            ? `: ${cycle.why}`
            : ''}
        </p>
        {#if cycle.ring.length > 0}
          <PatchPlace
            outline={zone.report.outline.corners}
            ring={cycle.ring}
            label="Where the patch of {cycle.patch} lies"
          />
        {/if}
        {#if cycle.coats.length > 0}
          <ul>
            {#each cycle.coats as coat (coat.layer)}
              <li>
                <span>{dayMonth(new Date(coat.at), zoneTime)}</span>
                <b>{coat.title}</b>
                <span>{coat.sheet}</span>
                <span class="soft">{coat.by}</span>
              </li>
            {/each}
          </ul>
        {:else if !cycle.empty}
          <p>{cycle === current ? 'Nothing has gone on so far.' : 'Nothing went on.'}</p>
        {/if}
        {#if !cycle.empty}
          <PastCycle {job} {zone} number={cycle.number} />
        {:else if cycle.number > 1}
          <Button disabled={back.busy} onclick={() => takeBack(cycle.number)}>Take it back</Button>
        {/if}
      </div>
    </li>
  {/each}
</ol>

<NextCycle {desk} {job} {zone} />

<style>
  header {
    display: flex;
    align-items: baseline;
    justify-content: space-between;
    gap: 16px;
  }

  h1 {
    font-size: 30px;
  }

  header a {
    white-space: nowrap;
  }

  .years {
    list-style: none;
    padding: 0;
    margin-block: 10px 22px;
  }

  .years > li {
    display: grid;
    grid-template-columns: 116px minmax(0, 1fr);
    gap: 20px;
    padding-block: 10px 14px;
    border-block-start: 1px solid var(--line);
  }

  .years > .current {
    border-block-start: 4px solid var(--ink);
  }

  .year {
    font: 600 42px/1.1 var(--figures);
  }

  h2 {
    font: 600 20px/1.3 var(--text);
  }

  h2 small,
  .soft {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 15px;
  }

  ul {
    list-style: none;
    padding: 0;
    margin-block: 6px;
  }

  ul li {
    display: grid;
    grid-template-columns: 96px 110px minmax(0, 1fr) 90px;
    gap: 12px;
    font-size: 15px;
  }

  @media (max-width: 759px) {
    .years > li {
      grid-template-columns: 1fr;
      gap: 2px;
    }

    ul li {
      grid-template-columns: 84px 1fr;
      gap: 0 12px;
      padding-block: 4px;
    }

    ul li :nth-child(n + 3) {
      grid-column: 2;
    }
  }
</style>
