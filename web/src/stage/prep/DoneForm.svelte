<script lang="ts">
  import type { JobHead, StepReport, StepSheet, ZoneHead } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import WhyEntry from '../../app/WhyEntry.svelte';
  import Button from '../../parts/Button.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { happened, when } from '../../parts/time';
  import Earlier from './Earlier.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    step: StepReport;
    sheet: StepSheet;
  }

  let { desk, job, zone, step, sheet }: Props = $props();
  let open = $state(false);
  let values = $state<Record<string, string>>({});
  /** The floor's wall clock, where it was done earlier than now. */
  let earlier = $state('');
  const sending = new Logging();

  function begin() {
    values = {
      amount: step.left || (sheet.effort.amount?.text ?? ''),
      hands: String(sheet.effort.hands),
    };
    open = true;
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const typed = Object.fromEntries(sheet.fields.map((f) => [f.id, values[f.id] ?? '']));
    const more = { values: typed, ...happened(earlier, job.facts.timeZone) };
    if (await sending.write(desk, zone.id, 'DONE', step.id, more)) {
      open = false;
      earlier = '';
    }
  }
</script>

{#if step.done}
  <p class="soft">
    {step.left ? 'Part of it logged' : 'Logged'} done by {step.done.name}, {when(
      new Date(step.done.at),
      job.facts.timeZone,
      appClock.now,
    )}.
    {#if step.left}<b>{step.left} left.</b>{/if}
  </p>
{/if}
{#if step.done && !step.left}
  <!-- all of it -->
{:else if open}
  <form onsubmit={save} novalidate>
    <Trouble
      problem={sending.problem}
      shown={['by', 'at', 'note', ...sheet.fields.map((f) => `values.${f.id}`)]}
    />
    <WhyEntry {sending} />
    {#if sheet.before}
      {@const before = sheet.before}
      <p class="soft">
        Last time: <b>{before.how}</b> ({before.by}, {when(
          new Date(before.at),
          job.facts.timeZone,
          appClock.now,
        )}).
        <Button kind="quiet" onclick={() => (values.how = before.how)}>The same again</Button>
      </p>
    {/if}
    <div class="grid">
      {#each sheet.fields as field (field.id)}
        <FieldEntry
          {field}
          units={job.facts.units}
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
      <Earlier timeZone={job.facts.timeZone} fault={sending.fault('at')} bind:value={earlier} />
    </div>
    <p class="soft">With the hours, the crew's own pace is learned from it.</p>
    <Button kind="main" type="submit" disabled={sending.busy}>Save as done</Button>
    <Button kind="quiet" onclick={() => (open = false)}>Not now</Button>
  </form>
{:else}
  <Button onclick={begin}>Done</Button>
{/if}

<style>
  .grid {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0 14px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
