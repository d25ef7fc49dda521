<script lang="ts">
  import type { WashMix } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  let { mix }: { mix: WashMix } = $props();
</script>

<div>
  <p><b>{mix.title}: {mix.words}.</b></p>
  <p>
    <FigureButton figure={mix.total} /> <small>({mix.total.also})</small> for the zone,
    <FigureButton figure={mix.section} /> <small>({mix.section.also})</small> for 10 × 10 ft.
    {mix.vessels}
    {mix.vessels === 1 ? 'pail: water first,' : 'pails, in each water first,'}
    <FigureButton figure={mix.water} /> <small>({mix.water.also})</small>, then
    <FigureButton figure={mix.concentrate} />
    {#if mix.concentrate.also}<small>({mix.concentrate.also})</small>{/if}
  </p>
</div>

<style>
  div {
    margin-block: 6px;
    padding-inline-start: 10px;
    border-inline-start: 4px solid var(--chalk);
  }

  small {
    color: var(--ink-soft);
  }
</style>
