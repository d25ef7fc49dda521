<script lang="ts">
  import type { LayerReport, LayerZone, NextBatch } from '../../../api/types';
  import { readyToRing } from '../../../parts/bell';
  import TextEntry from '../../../parts/TextEntry.svelte';
  import Big from './Big.svelte';
  import type { Mixing } from './mixing.svelte';
  import Say from './Say.svelte';
  import Tap from './Tap.svelte';
  import Taps from './Taps.svelte';

  interface Props {
    mixing: Mixing;
    zone: LayerZone;
    layer: LayerReport;
    planned: NextBatch;
  }

  let { mixing, zone, layer, planned }: Props = $props();
  let tare = $state('');

  const missing = $derived(
    zone.sheet.steps.find((s) => layer.steps.some((l) => l.coat && l.id === s.id))?.missing ?? [],
  );

  function begin() {
    readyToRing();
    void mixing.begin(tare);
  }
</script>

<Say>{planned.recipe.words}.</Say>
<Big text={planned.run.volume.text} of="for {planned.run.area.text}" />
{#if missing.length > 0}<Say><b>Not ticked yet:</b> {missing.join(', ')}.</Say>{/if}
{#each layer.against as f, i (i)}<Say wrong>{f.brief}</Say>{/each}
{#each planned.recipe.findings as f (f.rule)}<Say>{f.because} {f.remedy}</Say>{/each}
{#if planned.recipe.portions.some((p) => p.scale)}
  <TextEntry
    label="The empty pail weighs"
    hint="empty: the scale is set to 0 with it on"
    fault={mixing.sending.fault('vessel.tare')}
    bind:value={tare}
  />
{/if}
<Taps><Tap main onclick={begin}>Begin batch {planned.number}</Tap></Taps>
