<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { averageShift, shiftFields } from '../../api/client';
  import type { Field, SilicaShift, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  let { units }: { units: Units } = $props();
  let fields = $state.raw<Field[]>([]);
  let spells = $state<Record<string, string>[]>([{}]);
  let shift = $state.raw<SilicaShift | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);

  const failed = (e: unknown) => (problem = asProblem(e));
  $effect(() => void shiftFields().then((f) => (fields = f), failed));

  async function work(event: SubmitEvent) {
    event.preventDefault();
    problem = null;
    shift = null;
    try {
      shift = await averageShift(spells, units);
    } catch (e) {
      failed(e);
    }
  }
</script>

<form onsubmit={work} novalidate>
  <Trouble {problem} shown={spells.flatMap((_, i) => fields.map((f) => `spells[${i}].${f.id}`))} />
  {#each spells as spell, i (i)}
    <div class="grid">
      {#each fields as field (field.id)}
        <FieldEntry
          {field}
          {units}
          bind:value={() => spell[field.id] ?? '', (v) => (spell[field.id] = v)}
          fault={problem?.faults.find((f) => f.field === `spells[${i}].${field.id}`)}
        />
      {/each}
    </div>
  {/each}
  <Button type="submit" kind="main">Average it</Button>
  <Button kind="quiet" onclick={() => spells.push({})}>Another part of the shift</Button>
</form>
{#if shift}
  <p role="status" data-level={shift.level}>
    <FigureButton figure={shift.average} text={shift.text} size="big" /> over 8 h: {shift.means}.
    <small>{shift.average.source?.sentence}</small>
  </p>
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 0 14px;
  }

  p {
    margin-block-start: 10px;
    padding: 6px 10px;
    border-inline-start: 4px solid var(--go);
  }

  [data-level='ACTION'] {
    border-color: var(--hold);
  }

  [data-level='OVER'] {
    border-color: var(--stop);
  }

  small {
    color: var(--ink-soft);
  }
</style>
