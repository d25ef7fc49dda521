<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { gradually } from '../../parts/gradually.svelte';
  import { when } from '../../parts/time';
  import FindingRow from '../survey/FindingRow.svelte';
  import { jobHref, shelfHref } from '../../app/route.svelte';
  import StagingList from '../prep/StagingList.svelte';
  import StepRow from '../prep/StepRow.svelte';
  import BatchList from './BatchList.svelte';
  import ClockLadder from './ClockLadder.svelte';
  import FlakeParts from './FlakeParts.svelte';
  import KitList from './KitList.svelte';
  import LayerColour from './LayerColour.svelte';
  import LayerDone from './LayerDone.svelte';
  import LayerPlan from './LayerPlan.svelte';
  import LayerUsed from './LayerUsed.svelte';
  import MixedSoFar from './MixedSoFar.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
    onreading: (method?: string, place?: string, once?: boolean) => void;
  }

  let { desk, job, zone, layer, onreading }: Props = $props();
  const stood = $derived(zone.report.conduct);
  const earlier = $derived(zone.report.earlier);
  const buying = $derived(zone.buying);
  const sheetOf = (id: string) => zone.sheet.steps.find((s) => s.id === id);
  const inHand = $derived(layer.steps.filter((s) => s.progress === 'OPEN' && s.timed));
  const wanted = $derived(inHand.some((s) => (sheetOf(s.id)?.missing.length ?? 0) > 0));
  /** What stands against it and the figures at once, then what lies ready, each step, and the rest: nobody who taps waits for all of it. */
  const READY = 2;
  const on = gradually('layer', 1, () => READY + layer.steps.length + 1);
  const whole = $derived(on.shown > READY + layer.steps.length);
  const stages = { BATCH: 'Batch', COAT: 'Coat', GATE: 'Gate' } as Record<string, string>;
</script>

<header>
  <h1>{layer.title}</h1>
  <Mark mark={layer.mark} />
  <a href={shelfHref(layer.sheet.slug)}>{layer.sheet.name}</a>
  <a class="change" href={jobHref(job.id, zone.id, 'build-up')}>Change what goes on</a>
</header>
{#if layer.started !== 'COATED'}
  <p class="aside read">
    <Button kind={layer.readsAir ? 'main' : 'plain'} onclick={() => onreading('climate', '', true)}
      >Read air and slab</Button
    >
    Once before the first stir: what they are then is kept with the coat.
  </p>
{/if}
{#if layer.against.length > 0}
  <h2>Against putting it on now</h2>
  <ul>
    {#each layer.against as finding, i (i)}
      <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
    {/each}
  </ul>
  <p class="aside">The figures below are for planning.</p>
{/if}
{#if earlier > 0}
  <p class="aside">
    <a href={jobHref(job.id, zone.id, 'log')}
      >What stood against {earlier} more before these, in the logbook</a
    >
  </p>
{/if}
{#each stood as entry (entry.key)}
  <h2>
    {stages[entry.kind] ?? 'Step'} of {when(new Date(entry.at), job.facts.timeZone, appClock.now)}:
    what stood against it
  </h2>
  {#if entry.why}<p class="aside">{entry.by}: {entry.why}</p>{/if}
  <ul>
    {#each entry.findings as finding, i (i)}
      <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
    {/each}
  </ul>
{/each}

{#if layer.findings.length + zone.came.against.length > 0}
  <ul>
    {#each [...layer.findings, ...zone.came.against] as finding, i (i)}
      <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
    {/each}
  </ul>
{/if}

<dl>
  <div>
    <dt>{zone.report.name}</dt>
    <dd><FigureButton figure={zone.report.area} size="big" /></dd>
  </div>
  <div>
    <dt>to mix, with allowance</dt>
    <dd><FigureButton figure={layer.amount} size="big" /></dd>
    <dd class="also">{layer.amount.also}</dd>
  </div>
  {#if layer.wet}<div>
      <dt>wet film</dt>
      <dd><FigureButton figure={layer.wet} size="big" /></dd>
      <dd class="also">{layer.wet.also}</dd>
    </div>{/if}
  {#if layer.dry}<div>
      <dt>dry film</dt>
      <dd><FigureButton figure={layer.dry} size="big" /></dd>
      <dd class="also">{layer.dry.also}</dd>
    </div>{/if}
  {#if zone.batches.split}
    <div>
      <dt>bays</dt>
      <dd>
        <FigureButton
          figure={zone.batches.split.bays}
          text={String(zone.batches.split.bays.value)}
          size="big"
        />
      </dd>
    </div>
    <div>
      <dt>for each bay</dt>
      <dd><FigureButton figure={zone.batches.split.each} size="big" /></dd>
      <dd class="also">{zone.batches.split.each.also}</dd>
    </div>
  {/if}
</dl>

<div class="columns">
  <div>
    {#if on.shown >= READY && zone.sheet.staging.length > 0 && layer.started !== 'COATED'}
      <StagingList {desk} {zone} things={zone.sheet.staging} {wanted} />
    {/if}
    <ol>
      {#each layer.steps.slice(0, Math.max(0, on.shown - READY)) as step, i (`${step.id} ${step.round}`)}
        {#snippet coat()}<LayerDone {desk} {job} {zone} {layer} />{/snippet}
        <StepRow
          {desk}
          {job}
          {zone}
          {step}
          n={i + 1}
          sheet={sheetOf(step.id)}
          logging={step.coat ? coat : undefined}
        />
      {/each}
    </ol>
    {#if whole}
      {#if layer.role === 'BROADCAST'}
        <FlakeParts {job} {zone} {layer} />
        <MixedSoFar {job} {zone} {layer} />
      {:else}
        <BatchList {job} {zone} {layer} />
      {/if}
      <LayerUsed {zone} {layer} buyHref={jobHref(job.id, zone.id, 'buy')} />
      {#if buying}<KitList {buying} zone={zone.id} href={jobHref(job.id, zone.id, 'buy')} />{/if}
      {#if layer.sheet.advice.note}<p class="note">{layer.sheet.advice.note}</p>{/if}
    {/if}
  </div>
  <div>
    {#if whole}
      <LayerPlan {desk} {job} {zone} {layer} />
      <LayerColour {desk} {job} {zone} {layer} />
      {#if layer.clocks.length > 0}
        <ClockLadder clocks={layer.clocks} timeZone={job.facts.timeZone} started={layer.started} />
      {/if}
    {/if}
  </div>
</div>

<style>
  .read {
    margin-block: 10px;
  }

  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
  }

  header ~ h2 {
    margin-block-start: 12px;
  }

  ul {
    margin-block: 4px 8px;
  }

  .aside {
    color: var(--ink-soft);
    margin-block-end: 10px;
  }

  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 36px;
    padding-block: 14px;
    margin-block-end: 16px;
    border-block-end: 4px solid var(--ink);
  }

  dt {
    font-size: 13px;
    color: var(--ink-soft);
  }

  .also {
    font: 500 15px var(--figures);
    color: var(--ink-soft);
    margin-block-start: 2px;
  }

  .change {
    margin-inline-start: auto;
  }

  ol {
    margin-block-end: 14px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1.35fr) minmax(260px, 1fr);
    gap: 32px;
  }

  .note {
    margin-block-start: 14px;
    color: var(--ink-soft);
    font-size: 14px;
  }

  @media (max-width: 759px) {
    dl {
      display: grid;
      grid-template-columns: 1fr 1fr;
    }
  }

  @media (max-width: 1100px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
