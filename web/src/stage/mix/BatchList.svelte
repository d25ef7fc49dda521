<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import { outbox } from '../../app/outbox.svelte';
  import { jobHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import { upcoming } from './card/batch';
  import MixedSoFar from './MixedSoFar.svelte';
  import RecipeTable from './RecipeTable.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  const plan = $derived(zone.batches.plan);
  const life = $derived(layer.clocks.find((c) => c.clock === 'POT_LIFE')?.time.minutes);
  /** Mixed without a signal. */
  const held = $derived(outbox.of(zone.id, 'BATCH', layer.id));
  const next = $derived(upcoming(zone.batches, held.length));
  const n = $derived(plan?.count.value ?? 0);
  const to = (section: string) => jobHref(job.id, zone.id, layer.id, section);
  const stamped = $derived(layer.steps.some((s) => s.id.endsWith('/stamp')));
  /** Somebody tapes planks on it. */
  const planked = $derived(layer.steps.some((s) => s.id.endsWith('tape-planks')));
</script>

<section>
  {#if plan}
    <h2>
      <FigureButton figure={plan.count} text={String(n)} size="big" />
      {n === 1 ? 'batch' : 'batches'}
    </h2>
    {#each plan.runs.length > 6 ? plan.runs.slice(0, 5) : plan.runs as run (run.first)}
      <p>
        {run.bays ? `${run.bays}: ` : ''}{run.first === run.last
          ? `batch ${run.first}`
          : `batches ${run.first} to ${run.last}`}, <FigureButton figure={run.volume} />
        {run.first === run.last ? '' : 'each '}over <FigureButton figure={run.area} />
      </p>
    {/each}
    {#if plan.runs.length > 6}<p class="soft">and so on to batch {n}, bay by bay.</p>{/if}
    <p class="soft">
      At most <FigureButton figure={plan.most} /> to a batch{#if life}; pot life at this slab <FigureButton
          figure={life}
        />{/if}.
      {#if plan.boxed}All of A together first: <FigureButton figure={plan.boxed} />.{/if}
    </p>
    {#if next}
      <h3>Batch {next.number}{next.run.bays ? `, ${next.run.bays}` : ''}</h3>
      <RecipeTable recipe={next.recipe} />
      <p class="go"><a href={to('batch')}>Mix batch {next.number}, with the card</a></p>
    {/if}
  {:else}
    <h2>Batches</h2>
    <p>{zone.batches.whyNot}</p>
  {/if}
  <p class="soft">{layer.mixing}</p>
  {#if !zone.report.cycle.patch}
    <p><a class="more" href={to('bays')}>Walk it bay by bay</a></p>
  {/if}
  {#if stamped}<p><a class="more" href={to('stamps')}>Lay out the mats and strips</a></p>{/if}
  {#if planked}<p><a class="more" href={to('planks')}>Lay it out in planks</a></p>{/if}
  <p>
    <a class="more" href={to('mix')}
      >Mix another amount: a sample, half a kit, short cans, thinned, with grit</a
    >
  </p>
  <MixedSoFar {job} {zone} {layer} />
</section>

<style>
  h2 {
    font-size: 22px;
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    align-items: baseline;
  }

  h3 {
    font-size: 18px;
    margin-block: 14px 4px;
  }

  .soft {
    font-size: 14px;
    color: var(--ink-soft);
  }

  .go a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding-inline: 16px;
    background: var(--chalk);
    border-radius: var(--radius);
    color: #fff;
    font-weight: 600;
    text-decoration: none;
  }

  .more {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }
</style>
