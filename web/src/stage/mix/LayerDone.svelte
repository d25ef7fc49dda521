<script lang="ts">
  import type { JobView, LayerReport, LogForm, Units, ZoneView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { person } from '../../app/person.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import Entry from '../../parts/Entry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
    layer: LayerReport;
  }

  let { desk, job, zone, layer }: Props = $props();
  let mixing = $state(false);
  let by = $state(person.name);
  let values = $state<Record<string, string>>({});
  const sending = new FormState();
  const fields = $derived(known.view?.batch ?? []);
  const liquid = $derived(layer.sheet.liquid !== undefined);

  function start() {
    values = {
      volume: layer.batching?.eachVolume.text ?? '',
      area: layer.batching?.eachArea.text ?? '',
    };
    mixing = true;
  }

  async function log(kind: 'BATCH' | 'COAT') {
    const form: LogForm = {
      kind,
      subject: layer.id,
      place: '',
      at: appClock.now.toISOString(),
      by,
      note: '',
      values: kind === 'BATCH' ? { ...values } : {},
    };
    if (
      await sending.send([kind, by, values, layer.batchesLogged], (key) =>
        desk.log(zone.id, key, form),
      )
    ) {
      person.remember(by);
      mixing = false;
    }
  }
</script>

<section>
  <Trouble problem={sending.problem} shown={['by', ...fields.map((f) => `values.${f.id}`)]} />
  <Entry label="By" fault={sending.fault('by')}>
    {#snippet children(a)}
      <input
        id={a.id}
        bind:value={by}
        autocomplete="name"
        aria-describedby={a.describedby}
        aria-invalid={a.invalid}
      />
    {/snippet}
  </Entry>
  {#if mixing}
    {#each fields as field (field.id)}
      <FieldEntry
        {field}
        units={job.facts.units as Units}
        bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
        fault={sending.fault(`values.${field.id}`)}
      />
    {/each}
  {/if}
  <div class="buttons">
    {#if liquid && layer.started !== 'COATED'}
      {#if mixing}
        <Button kind="main" disabled={sending.busy} onclick={() => void log('BATCH')}
          >Save batch</Button
        >
        <Button kind="quiet" onclick={() => (mixing = false)}>Not now</Button>
      {:else}
        <Button kind="main" onclick={start}>Batch mixed</Button>
      {/if}
    {/if}
    {#if !mixing && layer.started !== 'COATED'}
      <Button disabled={sending.busy} onclick={() => void log('COAT')}
        >{liquid ? 'Coat done' : 'Flake thrown'}</Button
      >
    {/if}
  </div>
  {#if layer.batchesLogged > 0}
    <p>
      {layer.batchesLogged}
      {layer.batchesLogged === 1 ? 'batch' : 'batches'} logged{layer.batching
        ? ` of ${layer.batching.count.value}`
        : ''}.
    </p>
  {/if}
</section>

<style>
  section {
    margin-block-start: 14px;
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
