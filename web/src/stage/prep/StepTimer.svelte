<script lang="ts">
  import type { JobHead, StepReport, StepSheet, ZoneHead } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { person } from '../../app/person.svelte';
  import WhyEntry from '../../app/WhyEntry.svelte';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { countdown, when } from '../../parts/time';
  import { stands } from './steps';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    step: StepReport;
    sheet: StepSheet | undefined;
  }

  let { desk, job, zone, step, sheet }: Props = $props();
  const sending = new Logging();

  const ready = $derived(step.ready ? new Date(step.ready) : null);
  const missing = $derived(sheet?.missing ?? []);
</script>

{#if ready && stands(step)}
  {@const over = ready <= appClock.now}
  <p class="clock" class:over role="timer">
    <b>{over ? (step.until ? 'Look' : 'Ready') : countdown(ready, appClock.now)}</b>
    <span
      >{over ? 'since' : 'until'}
      {when(ready, job.facts.timeZone, appClock.now)}; began {when(
        new Date(step.started ?? ''),
        job.facts.timeZone,
        appClock.now,
      )}</span
    >
  </p>
{/if}
{#if step.timed && stands(step)}
  <Trouble problem={sending.problem} shown={['by', 'note']} />
  {#if missing.length > 0}
    <p class="soft"><b>Not ticked yet:</b> {missing.join(', ')}.</p>
  {/if}
  <WhyEntry {sending} />
  {#if person.name === '' || sending.fault('by')}
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
  {/if}
  <Button
    kind={step.progress !== 'RUNNING' && missing.length === 0 ? 'main' : 'plain'}
    disabled={sending.busy}
    onclick={() => void sending.write(desk, zone.id, 'BEGUN', step.id)}
    >{step.progress !== 'RUNNING'
      ? `Start the clock: ${step.waits}`
      : `Start it again: ${step.waits}`}</Button
  >
{/if}

<style>
  .clock {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 14px;
    margin-block: 8px;
    padding: 6px 12px;
    background: var(--wet-wash);
    color: var(--wet);
  }

  .clock b {
    font: 600 44px/1 var(--figures);
    font-variant-numeric: tabular-nums;
  }

  .over {
    background: var(--chalk-wash);
    color: var(--chalk);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
