<script lang="ts">
  import type { JobView, ZoneView } from '../api/types';
  import HistoryPlace from '../stage/care/HistoryPlace.svelte';
  import ServicePlace from '../stage/care/ServicePlace.svelte';
  import PlanPlace from '../stage/floor/PlanPlace.svelte';
  import LayerPlace from '../stage/mix/LayerPlace.svelte';
  import PrepPlace from '../stage/prep/PrepPlace.svelte';
  import SurveyPlace from '../stage/survey/SurveyPlace.svelte';
  import type { JobDesk } from './job.svelte';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
    /** The stratum whose workplace this is. */
    chosen: string;
    onreading: (method?: string, place?: string) => void;
  }

  let { desk, job, zone, chosen, onreading }: Props = $props();
  const layer = $derived(zone.report.layers.find((l) => l.id === chosen));
</script>

{#if chosen === 'plan'}
  <PlanPlace {desk} {job} {zone} />
{:else if chosen === 'slab'}
  <SurveyPlace {desk} {job} {zone} {onreading} />
{:else if chosen === 'prep'}
  <PrepPlace {desk} {job} {zone} />
{:else if chosen === 'history' || chosen.startsWith('film-')}
  <HistoryPlace {desk} {job} {zone} />
{:else if layer}
  {#key layer.id}<LayerPlace {desk} {job} {zone} {layer} />{/key}
{:else}
  <ServicePlace {job} {zone} />
{/if}
