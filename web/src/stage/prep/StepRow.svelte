<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { JobHead, StepReport, StepSheet, ZoneHead } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { when } from '../../parts/time';
  import PhotoStrip from '../survey/PhotoStrip.svelte';
  import DoneForm from './DoneForm.svelte';
  import EffortLine from './EffortLine.svelte';
  import GateForm from './GateForm.svelte';
  import MixLine from './MixLine.svelte';
  import PatchLadder from './PatchLadder.svelte';
  import StepTimer from './StepTimer.svelte';
  import { stands } from './steps';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    step: StepReport;
    n: number;
    sheet: StepSheet | undefined;
    /** How it is logged, where that is not as any step. */
    logging?: Snippet | undefined;
  }

  let { desk, job, zone, step, n, sheet, logging }: Props = $props();

  const now = $derived(stands(step));
  const ladder = $derived((sheet?.ladders.length ?? 0) > 0);
</script>

{#snippet body()}
  <p>{step.does}</p>
  <p class="soft">Why: {step.why}</p>
  {#if step.caution}<p class="caution"><b>Caution.</b> {step.caution}</p>{/if}
  {#if sheet}
    {#if step.timed || !step.waits}<EffortLine effort={sheet.effort} />{/if}
    {#if sheet.mix}<MixLine mix={sheet.mix} />{/if}
    {#if sheet.mixWaits && !ladder}<p class="soft">{sheet.mixWaits}</p>{/if}
  {/if}
{/snippet}

<li class:now class:done={step.progress === 'DONE'}>
  <span class="n">{n}</span>
  <div>
    {#if now}
      <header>
        <h2>
          <span>{step.title}</span>{#if step.round > 1}<span class="again">again</span>{/if}
        </h2>
        <Mark mark={step.mark} word={step.word} />
      </header>
      {@render body()}
      {#if sheet && ladder}
        <PatchLadder {desk} {job} {zone} {step} ladders={sheet.ladders} />
      {/if}
      <div class="acts">
        <StepTimer {desk} {job} {zone} {step} {sheet} />
        {#if logging}{@render logging()}{:else if sheet && (sheet.effort.amount || !step.gate)}<DoneForm
            {desk}
            {job}
            {zone}
            {step}
            {sheet}
          />{/if}
      </div>
      {#if step.gate && !ladder}<GateForm
          {desk}
          {job}
          {zone}
          gate={step.gate}
          progress={step.progress}
        />{/if}
    {:else}
      <details>
        <summary>
          <b>{step.title}</b>{#if step.round > 1}<span class="again">again</span>{/if}
          <Mark mark={step.mark} word={step.word} />
        </summary>
        {@render body()}
        {#if sheet && ladder}
          <PatchLadder {desk} {job} {zone} {step} ladders={sheet.ladders} />
        {/if}
        {#if logging && step.progress === 'WAITING'}
          {@render logging()}
        {:else if sheet && step.progress === 'WAITING' && (sheet.effort.amount || !step.gate)}
          <DoneForm {desk} {job} {zone} {step} {sheet} />
        {/if}
        {#if step.gate && !ladder && step.progress === 'DONE'}
          <GateForm {desk} {job} {zone} gate={step.gate} progress={step.progress} />
        {/if}
      </details>
      {#if step.gate?.by}
        <p class="found">
          {step.gate.title}: <b>{step.gate.found}</b>
          <small
            >{step.gate.by.name}, {when(
              new Date(step.gate.by.at),
              job.facts.timeZone,
              appClock.now,
            )}</small
          >
          <PhotoStrip {desk} entryKey={step.gate.by.key} of={step.gate.title} at={step.title} />
        </p>
        {#if step.progress === 'FAILED'}<p><b>Done again below:</b> {step.gate.again}</p>{/if}
      {:else if step.done}
        <p class="found">
          <small
            >{step.done.name}, {when(
              new Date(step.done.at),
              job.facts.timeZone,
              appClock.now,
            )}</small
          >
          <PhotoStrip {desk} entryKey={step.done.key} of={step.title} at={zone.report.name} />
        </p>
      {/if}
    {/if}
  </div>
</li>

<style>
  li {
    display: grid;
    grid-template-columns: 34px minmax(0, 1fr);
    padding-block: 8px 10px;
    border-block-start: 1px solid var(--line);
  }

  .now {
    border-block-start: 3px solid var(--ink);
    padding-block: 12px 16px;
  }

  .done {
    padding-block: 0;
  }

  .done > div {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 0 18px;
  }

  .done .n {
    font-size: 19px;
    line-height: 34px;
  }

  .done details[open] {
    flex-basis: 100%;
    padding-block-end: 8px;
  }

  header {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: 14px;
  }

  h2 {
    font: 600 19px/1.3 var(--text);
  }

  .n {
    font: 600 26px/1.2 var(--figures);
    color: var(--chalk);
  }

  .acts {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
    margin-block: 8px;
  }

  .acts > :global(:is(p, form, div, section)) {
    flex-basis: 100%;
  }

  .again {
    margin-inline-start: 10px;
    padding: 1px 8px;
    background: var(--hold-wash);
    color: var(--hold);
    font: 600 14px var(--text);
  }

  summary {
    display: flex;
    align-items: center;
    gap: 4px 14px;
    min-block-size: 34px;
    cursor: pointer;
    list-style: none;
  }

  summary::-webkit-details-marker {
    display: none;
  }

  li:not(.done) summary :global(.mark) {
    margin-inline-start: auto;
  }

  .found {
    font-size: 15px;
  }

  small,
  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .caution {
    margin-block: 4px;
    padding: 6px 10px;
    border-inline-start: 4px solid var(--hold);
    background: var(--hold-wash);
    font-size: 14px;
  }
</style>
