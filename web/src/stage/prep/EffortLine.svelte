<script lang="ts">
  import type { Effort } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';

  let { effort }: { effort: Effort } = $props();
  const also = $derived(
    [effort.amount, effort.dust, effort.water, effort.airflow].filter((f) => f !== undefined),
  );
</script>

<p class="parts">
  <span
    ><FigureButton figure={effort.time} />
    {effort.hands === 1 ? 'one hand' : `${effort.hands} hands`}</span
  >
  {#if effort.amount}<span>at <FigureButton figure={effort.pace} /> a person</span>{/if}
  {#each also as figure (figure.label)}
    <span>{figure.label} <FigureButton {figure} /></span>
  {/each}
</p>
{#if effort.silica}
  <p class="caution">
    <b>Silica, {effort.silica.indoors ? 'indoors' : 'outdoors'},</b>
    <FigureButton figure={effort.silica.hours} text={effort.silica.shown} /> a shift. {effort.silica
      .title}: {effort.silica.control}; <b>{effort.silica.worn}</b>.
    <small>{effort.silica.source.sentence}</small>
  </p>
{/if}

<style>
  .parts {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 18px;
    color: var(--ink-soft);
  }

  .caution {
    margin-block: 4px;
    padding: 6px 10px;
    border-inline-start: 4px solid var(--hold);
    background: var(--hold-wash);
    color: var(--ink);
    font-size: 14px;
  }

  small {
    color: var(--ink-soft);
  }
</style>
