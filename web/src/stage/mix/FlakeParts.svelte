<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { flakeSplit } from '../../api/client';
  import type { FlakeSplit, JobHead, LayerReport, LayerZone } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  let parts = $state('4');
  let asked = $state.raw<FlakeSplit | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);

  async function split(event: SubmitEvent) {
    event.preventDefault();
    problem = null;
    try {
      asked = await flakeSplit(
        { jobId: job.id, zoneId: zone.id, layerId: layer.id },
        Number(parts.trim() || NaN),
      );
    } catch (e) {
      problem = asProblem(e);
    }
  }
</script>

<section>
  <h2>Split it first</h2>
  <p>
    {#if zone.batches.split}
      Weigh it out into {zone.batches.split.bays.value} equal parts before the first stir, one for each
      bay. Throw upward and let it fall; not at spots.
    {:else}
      {zone.batches.whyNot}
    {/if}
  </p>
  <form onsubmit={split} novalidate>
    <Trouble {problem} shown={['sections']} />
    <TextEntry
      label="Or in so many parts"
      hint="4 for quarters"
      fault={problem?.faults.find((f) => f.field === 'sections')}
      bind:value={parts}
      inputmode="numeric"
    />
    <Button type="submit">Weigh out</Button>
  </form>
  {#if asked}
    <p role="status">
      {asked.bays.value} parts of <FigureButton figure={asked.each} size="big" />
    </p>
  {/if}
</section>

<style>
  h2 {
    font-size: 20px;
  }

  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 4px 16px;
    margin-block-start: 8px;
  }
</style>
