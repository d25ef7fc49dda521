<script lang="ts">
  import type { JobHead, ZoneHead } from '../api/types';
  import Mark from '../parts/Mark.svelte';
  import { left, when } from '../parts/time';
  import AirNow from './AirNow.svelte';
  import JobDoors from './JobDoors.svelte';
  import { appClock } from './clock.svelte';
  import type { JobDesk } from './job.svelte';
  import { jobHref, rackHref } from './route.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead | null;
    onopen: (dialog: 'job' | 'zone') => void;
  }

  let { desk, job, zone, onopen }: Props = $props();

  /** What hangs under the line: everything else, or the clocks. */
  let under = $state<'nothing' | 'rest' | 'clocks'>('nothing');
  const toggle = (what: 'rest' | 'clocks') => (under = under === what ? 'nothing' : what);

  const next = $derived(zone?.report.next);
  const at = $derived(next?.at ? new Date(next.at) : null);
  /** What is over is no clock any more. */
  const clocks = $derived(zone?.report.clocks.filter((c) => new Date(c.to) > appClock.now) ?? []);
  const timeZone = $derived(job.facts.timeZone);
</script>

<svelte:window
  onhashchange={() => (under = 'nothing')}
  onclick={(e) => {
    // also where the link leads to where one is already
    if (e.target instanceof Element && e.target.closest('.under a')) {
      under = 'nothing';
    }
  }}
/>

<header>
  <div class="line">
    <button
      type="button"
      class="door"
      aria-expanded={under === 'rest'}
      aria-label="Menu"
      onclick={() => toggle('rest')}
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path d="M3 6h18M3 12h18M3 18h18" /></svg>
    </button>
    <p class="name">
      <b>{job.facts.name}</b>{#if zone}, {zone.report.name}{/if}
    </p>
    {#if next}
      <button
        type="button"
        class="clock"
        data-mark={next.mark}
        aria-expanded={under === 'clocks'}
        aria-label="Clocks: {next.label}, {next.word}"
        onclick={() => toggle('clocks')}
        >{at ? left(at, appClock.now) : next.urgency === 'RESTS' ? '–' : 'now'}</button
      >
    {/if}
  </div>
  {#if under === 'rest'}
    <div class="under">
      <a class="rack" href={rackHref}>The rack</a>
      <JobDoors
        {job}
        {zone}
        onopen={(dialog) => {
          under = 'nothing';
          onopen(dialog);
        }}
      />
      <div class="air"><AirNow {desk} {zone} /></div>
    </div>
  {:else if under === 'clocks' && next}
    <section class="under" aria-label="Day line">
      <a class="next" href={jobHref(job.id, zone?.id, next.stratum)}
        ><Mark mark={next.mark} word={next.word} /> {next.label}</a
      >
      {#if clocks.length > 0}
        <ul>
          {#each clocks as c, i (`${c.label} ${c.from} ${i}`)}
            <li>
              <span>{c.label}{c.planned ? ', planned' : ''}</span>
              <span
                >{when(new Date(c.from), timeZone, appClock.now)} to {when(
                  new Date(c.to),
                  timeZone,
                  appClock.now,
                )}</span
              >
            </li>
          {/each}
        </ul>
      {:else}
        <p class="soft">No clock is running.</p>
      {/if}
    </section>
  {/if}
</header>

<style>
  header {
    position: relative;
    border-block-end: 1px solid var(--line);
  }

  .line {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto;
    align-items: center;
    gap: 6px;
    block-size: 52px;
    padding-inline-end: 12px;
  }

  button {
    border: 0;
    background: none;
    min-block-size: 48px;
    min-inline-size: 48px;
    cursor: pointer;
  }

  .door svg {
    inline-size: 24px;
  }

  .door path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.5;
  }

  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .clock {
    padding: 0;
    font: 600 24px/1 var(--figures);
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
    color: var(--ink);
    box-shadow: inset 0 -4px 0 var(--hold);
  }

  .clock[data-mark='WET'],
  .clock[data-mark='CURING'] {
    box-shadow: inset 0 -4px 0 var(--wet);
  }

  .clock[data-mark='WINDOW_OPEN'] {
    box-shadow: inset 0 -4px 0 var(--chalk);
  }

  .clock[data-mark='GO'],
  .clock[data-mark='DONE'] {
    box-shadow: inset 0 -4px 0 var(--go);
  }

  .clock[data-mark='STOP'],
  .clock[data-mark='OVERDUE'] {
    box-shadow: inset 0 -4px 0 var(--stop);
  }

  .under {
    position: absolute;
    inset-block-start: 100%;
    inset-inline: 0;
    z-index: 4;
    max-block-size: calc(100dvh - 60px);
    overflow-y: auto;
    background: var(--paper);
    border-block-end: 4px solid var(--ink);
  }

  .rack {
    display: flex;
    align-items: center;
    min-block-size: 48px;
    padding-inline: 12px;
    border-block-end: 1px solid var(--line);
    font-weight: 600;
    color: var(--ink);
    text-decoration: none;
  }

  .next {
    display: block;
    min-block-size: var(--tap);
    color: var(--ink);
  }

  .air:not(:empty),
  .next,
  .soft {
    padding: 10px 12px;
  }

  .soft {
    color: var(--ink-soft);
  }

  .under li {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 0 12px;
    padding: 8px 12px;
    border-block-start: 1px solid var(--line);
  }

  .under li span:last-child {
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
</style>
