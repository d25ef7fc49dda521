<script lang="ts">
  import type { RepairSheet } from '../../api/types';
  import FigureButton from '../../parts/FigureButton.svelte';
  import SourceLine from '../../parts/SourceLine.svelte';

  let { repairs }: { repairs: RepairSheet[] } = $props();
</script>

<h2>Repairs</h2>
{#if repairs.length === 0}
  <p class="soft">
    Nothing to make good. Draw cracks, joints, lips and coves on the plan, and hollow places on the
    survey: their repair is put among the steps.
  </p>
{/if}
{#each repairs as repair (repair.id)}
  <h3>{repair.title}</h3>
  <dl>
    {#each repair.figures as figure (figure.label)}
      <dt>{figure.label}</dt>
      <dd><FigureButton {figure} /></dd>
    {/each}
  </dl>
  {#if repair.exclusion}<p class="written"><b>In writing:</b> {repair.exclusion}</p>{/if}
  <SourceLine source={repair.source} />
{/each}

<style>
  h2 {
    font: 600 17px/1.3 var(--text);
    margin-block-start: 18px;
  }

  h3 {
    font: 600 15px/1.3 var(--text);
    margin-block-start: 10px;
  }

  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 12px;
  }

  .written {
    padding: 6px 10px;
    border-inline-start: 4px solid var(--hold);
    font-size: 14px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
