<script lang="ts">
  import { layerRecipe, layerRecipeFields } from '../../api/client';
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import { jobHref } from '../../app/route.svelte';
  import MixDesk from './MixDesk.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  const where = $derived({ jobId: job.id, zoneId: zone.id, layerId: layer.id });
</script>

<header>
  <h1>Mix {layer.sheet.name.toLowerCase()}</h1>
  <a href={jobHref(job.id, zone.id, layer.id)}>Back to {layer.title}</a>
</header>
<MixDesk
  units={job.facts.units}
  first={{ area: zone.report.area.text }}
  fields={() => layerRecipeFields(where)}
  mix={(form) => layerRecipe(where, form)}
/>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 4px 16px;
    margin-block-end: 12px;
  }

  h1 {
    font-size: 30px;
  }

  a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }
</style>
