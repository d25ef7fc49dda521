<script lang="ts">
  import type { Fault } from '../../api/call';
  import type { SheetView, SystemFieldsView, SystemForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import Fold from '../../parts/Fold.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';

  interface Props {
    layer: SystemForm['layers'][number];
    /** Where its faults are named. */
    path: string;
    fields: SystemFieldsView;
    sheets: readonly SheetView[];
    faults: readonly Fault[];
  }

  let { layer = $bindable(), path, fields, sheets, faults }: Props = $props();

  const fault = (name: string) => faults.find((f) => f.field === `${path}.${name}`);
  /** Those of its kind first: any may be laid where somebody wants it. */
  const choices = $derived(
    [...sheets]
      .sort((a, b) => Number(b.role === layer.role) - Number(a.role === layer.role))
      .map((s) => ({ id: s.slug, label: s.name })),
  );
  const ways = $derived([
    { id: '', label: 'as its material usually is' },
    ...fields.ways.map((id) => ({ id, label: id.replaceAll('-', ' ') })),
  ]);
</script>

<div class="grid">
  <TextEntry label="Layer" fault={fault('title')} bind:value={layer.title} />
  <ChoiceEntry label="It is" choices={fields.roles} bind:value={layer.role} />
  <ChoiceEntry label="Of the sheet" fault={fault('sheet')} {choices} bind:value={layer.sheet} />
  <TextEntry
    label="Only where"
    hint="empty: always"
    fault={fault('when')}
    bind:value={() => layer.when ?? '', (v) => (layer.when = v)}
  />
  {#if layer.when}
    <label class="tick"
      ><input
        type="checkbox"
        bind:checked={() => layer.indoors ?? false, (v) => (layer.indoors = v)}
      /> Indoors without being asked for</label
    >
  {/if}
  {#if !layer.steps}
    <ChoiceEntry
      label="Laid"
      choices={ways}
      fault={fault('way')}
      bind:value={() => layer.way ?? '', (v) => (layer.way = v)}
    />
  {/if}
</div>
{#if layer.steps}
  {@const steps = layer.steps}
  <Fold title="Its steps" count={steps.length}>
    <ol>
      {#each steps as step, i (i)}
        <li>
          {#if step.settle !== undefined}
            <TextEntry
              label="Settled before the next"
              fault={fault(`steps[${i}].settle`)}
              bind:value={() => step.settle ?? '', (v) => (step.settle = v)}
            />
          {:else}
            <TextEntry
              label="Step"
              fault={fault(`steps[${i}].title`)}
              bind:value={() => step.title ?? '', (v) => (step.title = v)}
            />
            <TextEntry
              label="What is done"
              rows={2}
              fault={fault(`steps[${i}].does`)}
              bind:value={() => step.does ?? '', (v) => (step.does = v)}
            />
          {/if}
          <TextEntry label="Why" fault={fault(`steps[${i}].why`)} bind:value={step.why} />
          {#if step.waits?.fixed !== undefined}
            <TextEntry
              label="Waits"
              fault={fault(`steps[${i}].waits.fixed`)}
              bind:value={
                () => step.waits?.fixed ?? '', (v) => (step.waits = { ...step.waits, fixed: v })
              }
            />
          {/if}
          {#if step.coat}
            <p>It puts the material on the floor.</p>
          {:else}
            <Button kind="quiet" onclick={() => steps.splice(i, 1)}>Take this step out</Button>
          {/if}
        </li>
      {/each}
    </ol>
  </Fold>
{/if}

<style>
  .tick {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(210px, 1fr));
    gap: 0 18px;
  }

  li {
    padding: 8px 0 8px 14px;
    border-inline-start: 3px solid var(--line);
    margin-block-end: 8px;
  }

  p {
    font-size: 14px;
    color: var(--ink-soft);
  }
</style>
