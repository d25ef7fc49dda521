<script lang="ts">
  import { untrack } from 'svelte';
  import JobHeader from './JobHeader.svelte';
  import LogBook from './LogBook.svelte';
  import Working from './Working.svelte';
  import DayLine from './DayLine.svelte';
  import Workplace from './Workplace.svelte';
  import { appClock } from './clock.svelte';
  import { setDesk } from './desk';
  import { JobDesk } from './job.svelte';
  import { outbox } from './outbox.svelte';
  import { plainKey } from './keys';
  import { go, jobHref } from './route.svelte';
  import { stageOf } from './stages';
  import CoreLying from '../core-sample/CoreLying.svelte';
  import CoreNav from '../core-sample/CoreNav.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import Button from '../parts/Button.svelte';
  import ZoneDialog from '../stage/floor/ZoneDialog.svelte';
  import NewReading from '../stage/survey/NewReading.svelte';

  interface Props {
    jobId: string;
    zoneId: string;
    stratum: string;
    /** A place within the stage. */
    section: string;
  }

  let { jobId, zoneId, stratum, section }: Props = $props();

  // the screen is made anew for another job
  // svelte-ignore state_referenced_locally
  const desk = new JobDesk(jobId);
  setDesk(desk);

  /** Whoever follows a link knows where he goes: that is asked for beside the head, and not after it. */
  // svelte-ignore state_referenced_locally
  const meant = stageOf(stratum);
  // svelte-ignore state_referenced_locally
  if (zoneId && stratum && meant) {
    // svelte-ignore state_referenced_locally
    desk.ahead(desk.path(zoneId, meant, stratum));
  }

  let dialog = $state<'none' | 'reading' | 'zone'>('none');
  /** What the reading dialog begins with. */
  let first = $state.raw({ method: '', place: '', once: false, zoneId: '' });
  let width = $state(1280);

  /** With `once` that reading and no other: whoever takes it goes on where he was. */
  function read(method = '', place = '', once = false) {
    first = { method, place, once, zoneId: zone?.id ?? '' };
    dialog = 'reading';
  }

  const job = $derived(desk.job);
  const zone = $derived(desk.zone(zoneId));
  const chosen = $derived(stratum === '' ? 'slab' : stratum);
  const narrow = $derived(width < 760);

  const place = $derived(`${zone?.id ?? ''} ${chosen}`);
  let seen = '';
  // another place begins at its top
  $effect(() => {
    if (place !== seen) {
      seen = place;
      if (!section) {
        scrollTo(0, 0);
      }
    }
  });
  // whoever takes a reading wants the survey, wherever he stands
  const readingOn = $derived(dialog === 'reading' ? desk.zone(first.zoneId) : null);
  const surveyPath = $derived(readingOn && desk.path(readingOn.id, 'survey'));
  $effect(() => (surveyPath ? desk.want(surveyPath) : undefined));
  // anew where something was sent that had waited for a signal
  $effect(() => {
    if (outbox.sent >= 0) {
      void untrack(() => desk.load());
    }
  });
  $effect(() => desk.watch());

  function climb(by: number) {
    const strata = zone?.report.strata ?? [];
    const at = strata.findIndex((s) => s.id === chosen);
    const to = strata[at + by];
    if (to && zone) {
      go(jobHref(jobId, zone.id, to.id));
    }
  }

  function onkeydown(event: KeyboardEvent) {
    const key = plainKey(event);
    if (key === 'ArrowUp' || key === 'ArrowDown') {
      event.preventDefault();
      climb(key === 'ArrowUp' ? 1 : -1);
    } else if (key === 'n' && zone) {
      read();
    } else if (key === 'l' && zone) {
      go(jobHref(jobId, zone.id, 'log'));
    } else if (key === 'p' && zone) {
      go(jobHref(jobId, zone.id, 'plan'));
    } else if (key === 'b' && zone) {
      go(jobHref(jobId, zone.id, 'buy'));
    } else if (key === 'w') {
      if (desk.opened) {
        desk.closeWorking();
      } else if (zone) {
        desk.open(zone.report.area);
      }
    } else if (key === 'Escape') {
      desk.closeWorking();
    }
  }
</script>

<svelte:window {onkeydown} bind:innerWidth={width} />

{#if job}
  <div class="job">
    <JobHeader {desk} {job} {zone} {narrow} />
    {#if zone}
      <div class="screen" class:working={desk.opened !== null}>
        {#if narrow}
          <CoreLying
            {jobId}
            zoneId={zone.id}
            name={job.facts.name + zone.report.name}
            strata={zone.report.strata}
            {chosen}
          />
        {:else}
          <aside>
            <CoreNav
              {jobId}
              zoneId={zone.id}
              name={job.facts.name + zone.report.name}
              strata={zone.report.strata}
              {chosen}
            />
          </aside>
        {/if}
        <main>
          {#if chosen === 'log'}
            <LogBook {desk} {job} {zone} />
          {:else}
            <Workplace {desk} {job} {zone} {chosen} {section} onreading={read} />
          {/if}
        </main>
        {#if desk.opened}<Working opened={desk.opened} onclose={() => desk.closeWorking()} />{/if}
      </div>
      {#if !narrow}
        <DayLine
          clocks={zone.report.clocks}
          daylight={job.daylight}
          next={zone.report.next}
          there={jobHref(jobId, zone.id, zone.report.next.stratum)}
          timeZone={job.facts.timeZone}
          now={appClock.now}
        />
      {/if}
      {#if readingOn}
        {@const surveyed = desk.staged(readingOn, 'survey')}
        {#if surveyed}
          <NewReading {desk} {job} zone={surveyed} {first} onclose={() => (dialog = 'none')} />
        {/if}
      {/if}
    {:else}
      <main class="empty">
        <h1>Measure the first zone</h1>
        <p>
          A zone is one floor with one build-up: a bay, a room. Key in its sides as the tape reads
          them.
        </p>
        <Button kind="main" onclick={() => (dialog = 'zone')}>New zone</Button>
      </main>
      {#if dialog === 'zone'}
        <ZoneDialog {desk} {job} onclose={() => (dialog = 'none')} />
      {/if}
    {/if}
  </div>
{:else}
  <main class="empty">
    {#if desk.problem}
      <h1>This job cannot be shown</h1>
      <Trouble problem={desk.problem} />
      <a href="#/">Back to the rack</a>
    {:else}
      <p>Fetching the job…</p>
    {/if}
  </main>
{/if}

<p class="said" role="status">{desk.said}</p>

<style>
  .job {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr auto;
    min-block-size: 100dvh;
  }

  .screen {
    display: grid;
    grid-template-columns: 290px minmax(0, 1fr);
  }

  .screen.working {
    grid-template-columns: 290px minmax(0, 1fr) 300px;
  }

  aside {
    position: sticky;
    inset-block-start: 0;
    align-self: start;
    max-block-size: 100dvh;
    overflow-y: auto;
  }

  main {
    border-inline-start: 1px solid var(--line);
  }

  main {
    padding: 20px 24px 28px;
    min-inline-size: 0;
  }

  .empty {
    display: grid;
    gap: 14px;
    justify-items: start;
    padding: 60px 28px;
    max-inline-size: 560px;
  }

  .said {
    position: fixed;
    inset-block-end: 0;
    inset-inline-start: 0;
    inline-size: 1px;
    block-size: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }

  @media (max-width: 1100px) and (min-width: 760px) {
    .screen.working {
      grid-template-columns: 230px minmax(0, 1fr) 260px;
    }
  }

  @media (max-width: 759px) {
    .screen,
    .screen.working {
      display: block;
    }

    main {
      padding: 14px 12px 20px;
      border: 0;
    }
  }
</style>
