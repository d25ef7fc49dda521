<script lang="ts">
  import type { ApiProblem } from '../api/call';
  import Button from '../parts/Button.svelte';
  import TextEntry from '../parts/TextEntry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { type Held, outbox } from './outbox.svelte';

  interface Props {
    entry: Held;
    problem: ApiProblem;
  }

  let { entry, problem }: Props = $props();

  // a draft of what was said; what is sent is another entry
  // svelte-ignore state_referenced_locally
  let note = $state(entry.form.note);
  // svelte-ignore state_referenced_locally
  let by = $state(entry.form.by);
  const fault = (field: string) => problem.faults.find((f) => f.field === field);
</script>

<form
  novalidate
  onsubmit={(e) => {
    e.preventDefault();
    void outbox.amend(entry.key, { note, by });
  }}
>
  <p><b>Declined:</b> {entry.words}</p>
  <Trouble {problem} shown={['note', 'by']} />
  {#if fault('by')}<TextEntry label="By" fault={fault('by')} bind:value={by} />{/if}
  {#if fault('note')}
    <TextEntry label="Why it was done all the same" fault={fault('note')} bind:value={note} />
  {/if}
  <p>
    <Button type="submit" kind="main">Send it so</Button>
    <Button kind="quiet" onclick={() => outbox.drop(entry.key)}>Drop it: it was not so</Button>
  </p>
</form>

<style>
  form {
    max-inline-size: 72ch;
  }
</style>
