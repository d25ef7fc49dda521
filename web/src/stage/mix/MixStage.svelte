<script lang="ts">
  import { layerRecipe, layerRecipeFields } from '../../api/client';
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import LayerHead from './LayerHead.svelte';
  import MixDesk from './MixDesk.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();
  const where = $derived({ jobId: job.id, zoneId: zone.id, layerId: layer.id });
</script>

<LayerHead title="Mix {layer.sheet.name.toLowerCase()}" {job} {zone} {layer} />
<MixDesk
  units={job.facts.units}
  first={{ area: zone.report.area.text }}
  fields={() => layerRecipeFields(where)}
  mix={(form) => layerRecipe(where, form)}
/>
