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
  let mixing = $state(false);
  let values = $state<Record<string, string>>({});
  /** The floor's wall clock, where it was done earlier than now. */
  let earlier = $state('');
  const sending = new Logging();
  /** What every batch is asked for; weights come with the card. */
  const fields = $derived(layer.batchFields.filter((f) => f.needed || f.id === 'lot'));
  const thrown = $derived(layer.role === 'BROADCAST');

  function planned(): string | undefined {
    const next = zone.batches.next;
    return fields[0]?.id === 'bags' ? next && String(next.amount.value) : next?.amount.text;
  }

  function start() {
    values = {
      [fields[0]?.id ?? '']: planned() ?? zone.batches.split?.each.text ?? '',
      area: zone.batches.next?.run.area.text ?? '',
      lot: zone.lots,
    };
    mixing = true;
  }

  async function log(kind: 'BATCH' | 'COAT') {
    const found =
      kind === 'BATCH'
        ? Object.fromEntries(Object.entries(values).filter(([id, v]) => id !== 'lot' || v.trim()))
        : {};
    const more = { values: found, ...happened(earlier, job.facts.timeZone) };
    if (await sending.write(desk, zone.id, kind, layer.id, more)) {
      mixing = false;
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
    {#if mixing}
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
      {#if mixing}
        <Button kind="main" disabled={sending.busy} onclick={() => void log('BATCH')}
          >Save batch</Button
        >
        <Button kind="quiet" onclick={() => (mixing = false)}>Not now</Button>
      {:else}
        <Button kind="main" onclick={start}>{thrown ? 'Bay thrown' : 'Batch mixed'}</Button>
      {/if}
      {#if !mixing}
        <Button disabled={sending.busy} onclick={() => void log('COAT')}
          >{thrown ? 'All thrown' : 'Coat done'}</Button
        >
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
