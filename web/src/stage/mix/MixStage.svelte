<script lang="ts">
  import { layerRecipe, layerRecipeFields } from '../../api/client';
  import type { JobHead, LayerReport, LayerZone, Recipe, RecipeForm } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { outbox } from '../../app/outbox.svelte';
  import { go, jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import { upcoming } from './card/batch';
  import { Card } from './card/card.svelte';
  import LayerHead from './LayerHead.svelte';
  import MixDesk from './MixDesk.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  const next = $derived(upcoming(zone.batches, outbox.of(zone.id, 'BATCH', layer.id).length));
  // the screen is made anew for another layer
  // svelte-ignore state_referenced_locally
  const card = new Card(
    { zoneId: zone.id, cycle: zone.report.cycle.number, layerId: layer.id },
    appClock.now,
  );

  /** Other than planned: more or less of it, by the cans in hand, thinned, with grit. */
  function toCard(recipe: Recipe, asked: RecipeForm) {
    if (next) {
      const run = next.run;
      const area = recipe.covers ?? run.area;
      const other = { ...run, area, volume: recipe.each };
      card.begin({ ...next, run: other, amount: recipe.amount, recipe }, asked, appClock.now);
      go(jobHref(job.id, zone.id, layer.id, 'batch'));
    }
  }

  const where = $derived({ jobId: job.id, zoneId: zone.id, layerId: layer.id });
</script>

<LayerHead title="Mix {layer.sheet.name.toLowerCase()}" {job} {zone} {layer} />
<MixDesk
  units={job.facts.units}
  first={{ area: zone.report.area.text }}
  fields={() => layerRecipeFields(where)}
  mix={(form) => layerRecipe(where, form)}
>
  {#snippet then(recipe: Recipe, asked: RecipeForm)}
    {#if next && recipe.fillings.value > 1}
      <p>Each vessel is a batch by itself: for the card, ask for one.</p>
    {:else if next && card.hand}
      <p>
        Batch {card.hand.next.number} is in hand.
        <a href={jobHref(job.id, zone.id, layer.id, 'batch')}>Go on with it</a> first.
      </p>
    {:else if next}
      <p>
        <Button onclick={() => toCard(recipe, asked)}
          >Mix it as batch {next.number}, with the card</Button
        >
      </p>
    {/if}
  {/snippet}
</MixDesk>
