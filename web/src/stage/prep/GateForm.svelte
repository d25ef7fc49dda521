<script lang="ts">
  import type { GateReport, JobHead, StepReport, ZoneHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import WhyEntry from '../../app/WhyEntry.svelte';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { happened } from '../../parts/time';
  import Earlier from './Earlier.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    gate: GateReport;
    progress: StepReport['progress'];
  }

  let { desk, job, zone, gate, progress }: Props = $props();
  let open = $state(false);
  let values = $state<Record<string, string>>({});
  /** The floor's wall clock, where it was tested earlier than now. */
  let earlier = $state('');
  const sending = new Logging();

  /** Nothing is tested: somebody agrees to it. */
  const settles = $derived(gate.fields.some((f) => f.words));
  const shown = $derived(['by', 'at', 'note', ...gate.fields.map((f) => `values.${f.id}`)]);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const found = Object.fromEntries(gate.fields.map((f) => [f.id, values[f.id] ?? '']));
    const more = { values: found, ...happened(earlier, job.facts.timeZone) };
    if (await sending.write(desk, zone.id, 'GATE', gate.id, more)) {
      open = false;
      values = {};
      earlier = '';
    }
  }
</script>

<div class="gate" data-progress={progress}>
  <div class="line">
    <span><b>{settles ? 'To settle' : 'Gate'}: {gate.title}</b>, {gate.needed}</span>
    {#if !open}
      <Button onclick={() => (open = true)}
        >{settles
          ? 'Settle it'
          : progress !== 'DONE'
            ? `Test: ${gate.title}`
            : 'Test again'}</Button
      >
    {/if}
  </div>
  {#if open}
    <form onsubmit={save} novalidate>
      <Trouble problem={sending.problem} {shown} />
      <WhyEntry {sending} />
      {#each gate.fields as field (field.id)}
        <FieldEntry
          {field}
          units={job.facts.units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={sending.fault(`values.${field.id}`)}
        />
      {/each}
      <div class="grid">
        <TextEntry
          label="By"
          fault={sending.fault('by')}
          bind:value={sending.by}
          autocomplete="name"
        />
        <Earlier timeZone={job.facts.timeZone} fault={sending.fault('at')} bind:value={earlier} />
      </div>
      <p class="soft">Passes with: {gate.needed}. {gate.source.sentence}</p>
      <div class="buttons">
        <Button kind="main" type="submit" disabled={sending.busy}
          >{settles ? 'Record it as settled' : 'Record the gate'}</Button
        >
        <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
      </div>
    </form>
  {/if}
</div>

<style>
  .gate {
    margin-block: 8px;
    padding: 6px 12px;
    background: var(--paper);
    border-inline-start: 4px solid var(--line-strong);
  }

  [data-progress='DONE'] {
    border-color: var(--go);
  }

  .line {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 4px 14px;
    min-block-size: var(--tap);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 13px;
  }

  form {
    padding-block: 8px;
  }

  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
    gap: 0 16px;
  }

  .buttons {
    display: flex;
    gap: 10px;
    margin-block-start: 8px;
  }
</style>
