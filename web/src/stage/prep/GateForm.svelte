<script lang="ts">
  import type { GateReport, JobView, Mark as MarkWord, Units, ZoneView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
    gate: GateReport;
  }

  let { desk, job, zone, gate }: Props = $props();
  let open = $state(false);
  let values = $state<Record<string, string>>({});
  const sending = new Logging();

  const marks: Record<GateReport['state'], { mark: MarkWord; word: string }> = {
    WAITING: { mark: 'NOT_STARTED', word: 'gate: an earlier one first' },
    OPEN: { mark: 'NOT_STARTED', word: 'gate: to be passed' },
    PASSED: { mark: 'DONE', word: 'passed' },
    FAILED: { mark: 'STOP', word: 'failed' },
  };
  const shown = $derived(['by', ...gate.fields.map((f) => `values.${f.id}`)]);

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const found = Object.fromEntries(gate.fields.map((f) => [f.id, values[f.id] ?? '']));
    if (await sending.write(desk, zone.id, 'GATE', gate.id, { values: found })) {
      open = false;
      values = {};
    }
  }
</script>

<div class="gate" data-state={gate.state}>
  <div class="line">
    <Mark mark={marks[gate.state].mark} word={marks[gate.state].word} />
    <span><b>{gate.title}</b>: {gate.found || gate.needed}</span>
    {#if gate.entry}<small
        >{gate.entry.by}, {when(new Date(gate.entry.at), job.facts.timeZone, appClock.now)}</small
      >{/if}
    {#if gate.state !== 'WAITING' && !open}
      <Button onclick={() => (open = true)}
        >{gate.state === 'OPEN' ? `Test: ${gate.title}` : 'Test again'}</Button
      >
    {/if}
  </div>
  {#if gate.state === 'FAILED'}<p><b>Do:</b> {gate.again}</p>{/if}
  {#if open}
    <form onsubmit={save} novalidate>
      <Trouble problem={sending.problem} {shown} />
      {#each gate.fields as field (field.id)}
        <FieldEntry
          {field}
          units={job.facts.units as Units}
          bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
          fault={sending.fault(`values.${field.id}`)}
        />
      {/each}
      <TextEntry
        label="By"
        fault={sending.fault('by')}
        bind:value={sending.by}
        autocomplete="name"
      />
      <p class="soft">Passes with: {gate.needed}. {gate.source.sentence}</p>
      <div class="buttons">
        <Button kind="main" type="submit" disabled={sending.busy}>Record the gate</Button>
        <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
      </div>
    </form>
  {/if}
</div>

<style>
  .gate {
    margin-block-start: 8px;
    padding: 6px 12px;
    background: var(--paper);
    border-inline-start: 4px solid var(--line-strong);
  }

  [data-state='PASSED'] {
    border-color: var(--go);
  }

  [data-state='FAILED'] {
    border-color: var(--stop);
  }

  .line {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    min-block-size: var(--tap);
  }

  small,
  .soft {
    color: var(--ink-soft);
    font-size: 13px;
  }

  form {
    padding-block: 8px;
  }

  .buttons {
    display: flex;
    gap: 10px;
    margin-block-start: 8px;
  }
</style>
