<script lang="ts">
  import type { JobHead, ZoneHead } from '../api/types';
  import ServiceStage from '../stage/care/ServiceStage.svelte';
  import LayerStage from '../stage/mix/LayerStage.svelte';
  import PrepStage from '../stage/prep/PrepStage.svelte';
  import SurveyStage from '../stage/survey/SurveyStage.svelte';
  import type { JobDesk } from './job.svelte';
  import Later from './Later.svelte';
  import { jobHref } from './route.svelte';
  import { fetchFloor, screens } from './screens';
  import { isPast, stageOf } from './stages';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    /** The stratum whose workplace this is. */
    chosen: string;
    /** A place within it. */
    section: string;
    onreading: (method?: string, place?: string, once?: boolean) => void;
  }

  let { desk, job, zone, chosen, section, onreading }: Props = $props();

  const past = $derived(isPast(chosen));
  /** A layer that is there no more shows the floor as it is. */
  const kind = $derived(
    stageOf(chosen) === 'layer' && !zone.report.strata.some((s) => s.id === chosen)
      ? 'service'
      : stageOf(chosen),
  );
  const path = $derived(kind && desk.path(zone.id, kind, chosen));
  $effect(() => (path ? desk.want(path) : undefined));
  $effect(fetchFloor);
</script>

{#if chosen === 'buy'}
  <Later screen={screens.buy} given={{ desk, job, zoneId: zone.id, section }} />
{:else if kind === null}
  <Later screen={screens.plan} given={{ desk, job, zone, section }} />
{:else if kind === 'survey'}
  {@const staged = desk.staged(zone, 'survey')}
  {#if staged}<SurveyStage {desk} {job} zone={staged} {section} {onreading} />{/if}
{:else if kind === 'prep'}
  {@const staged = desk.staged(zone, 'prep')}
  {#if staged}<PrepStage {desk} {job} zone={staged} {section} />{/if}
{:else if kind === 'build-up'}
  {@const staged = desk.staged(zone, 'build-up')}
  {#if staged}{#key zone.id}<Later
        screen={screens.buildUp}
        given={{ desk, job, zone: staged }}
      />{/key}{/if}
{:else if kind === 'choices'}
  {@const staged = desk.staged(zone, 'choices')}
  {#if staged}{#key zone.id}<Later
        screen={screens.choices}
        given={{ desk, job, zone: staged, section }}
      />{/key}{/if}
{:else if kind === 'layer'}
  {@const staged = desk.staged(zone, 'layer', chosen)}
  {@const layer = staged?.report.layers[0]}
  {#if staged && layer}
    {#key layer.id}
      {#if section === 'batch'}
        <Later
          screen={screens.card}
          given={{ desk, job, zone: staged, layer, back: jobHref(job.id, zone.id, layer.id) }}
        />
      {:else if section === 'bays'}
        <Later screen={screens.bays} given={{ job, zone: staged, layer }} />
      {:else if section === 'planks'}
        <Later screen={screens.planks} given={{ job, zone: staged, layer }} />
      {:else if section === 'stamps'}
        <Later screen={screens.stamps} given={{ job, zone: staged, layer }} />
      {:else if section === 'mix'}
        <Later screen={screens.mix} given={{ job, zone: staged, layer }} />
      {:else}
        <LayerStage {desk} {job} zone={staged} {layer} {onreading} />
      {/if}
    {/key}
  {/if}
{:else}
  {@const staged = desk.staged(zone, 'service')}
  {#if staged && past}<Later screen={screens.history} given={{ desk, job, zone: staged }} />
  {:else if staged}<ServiceStage {job} zone={staged} />{/if}
{/if}
