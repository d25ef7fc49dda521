<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import WhyEntry from '../../app/WhyEntry.svelte';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import { happened } from '../../parts/time';
  import Earlier from '../prep/Earlier.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { desk, job, zone, layer }: Props = $props();
  /** What is being told: a batch, or that it is on. */
  let telling = $state<'BATCH' | 'COAT' | ''>('');
  let values = $state<Record<string, string>>({});
  /** The floor's wall clock, where it was done earlier than now. */
  let earlier = $state('');
  const sending = new Logging();
  /** Weights come with the card. */
  const batch = $derived(layer.batchFields);
  /** What it took is asked where no batch tells it. */
  const coat = $derived(layer.coatFields.filter((f) => f.id !== 'used' || !layer.used));
  const fields = $derived(telling === 'COAT' ? coat : batch);
  const thrown = $derived(layer.role === 'BROADCAST');

  function planned(): string | undefined {
    const next = zone.batches.next;
    return batch[0]?.id === 'bags' ? next && String(next.amount.value) : next?.amount.text;
  }

  function start() {
    values = {
      [batch[0]?.id ?? '']: planned() ?? zone.batches.split?.each.text ?? '',
      area: zone.batches.next?.run.area.text ?? '',
      lot: zone.came.lot,
    };
    telling = 'BATCH';
  }

  /** Where the batches cover the floor nothing is asked. */
  function on() {
    values = {};
    telling = 'COAT';
    if (layer.used && layer.used.bare.value === 0) {
      void log('COAT');
    }
  }

  async function log(kind: 'BATCH' | 'COAT') {
    const optional = new Set(fields.filter((f) => !f.needed).map((f) => f.id));
    const found = Object.fromEntries(
      Object.entries(values).filter(([id, v]) => !optional.has(id) || v.trim()),
    );
    const more = { values: found, ...happened(earlier, job.facts.timeZone) };
    if (await sending.write(desk, zone.id, kind, layer.id, more)) {
      telling = '';
      earlier = '';
    }
  }
</script>

<section>
  {#if layer.started !== 'COATED'}
    <Trouble
      problem={sending.problem}
      shown={['by', 'at', 'note', ...fields.map((f) => `values.${f.id}`)]}
    />
    <div class="who">
      <TextEntry
        label="By"
        fault={sending.fault('by')}
        bind:value={sending.by}
        autocomplete="name"
      />
      <Earlier timeZone={job.facts.timeZone} fault={sending.fault('at')} bind:value={earlier} />
    </div>
    <WhyEntry {sending} asked={layer.asksReason} />
    {#if telling === 'COAT' && !layer.used}
      <p>Planned were {layer.amount.text}.</p>
    {/if}
    {#if telling}
      {#each fields as field (field.id)}
        <FieldEntry
          {field}
          units={job.facts.units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={sending.fault(`values.${field.id}`)}
        />
      {/each}
    {/if}
    <div class="buttons">
      {#if telling === 'BATCH'}
        <Button kind="main" disabled={sending.busy} onclick={() => void log('BATCH')}
          >Save batch</Button
        >
        <Button kind="quiet" onclick={() => (telling = '')}>Not now</Button>
      {:else if telling === 'COAT'}
        <Button kind="main" disabled={sending.busy} onclick={() => void log('COAT')}
          >{thrown ? 'It is thrown' : 'It is on'}</Button
        >
        <Button kind="quiet" onclick={() => (telling = '')}>Not now</Button>
      {:else}
        <Button kind="main" onclick={start}>{thrown ? 'Bay thrown' : 'Batch mixed'}</Button>
        <Button disabled={sending.busy} onclick={on}>{thrown ? 'All thrown' : 'Coat done'}</Button>
      {/if}
    </div>
  {/if}
  {#if layer.batchesLogged > 0}
    <p>
      {layer.batchesLogged}
      {layer.batchesLogged === 1 ? 'batch' : 'batches'} logged{zone.batches.plan
        ? ` of ${zone.batches.plan.count.value}`
        : ''}.
    </p>
  {/if}
</section>

<style>
  section {
    margin-block-start: 14px;
  }

  .who {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
    gap: 0 16px;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    margin-block: 2px 6px;
  }

  p {
    color: var(--ink-soft);
  }
</style>
