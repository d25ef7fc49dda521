<script lang="ts">
  import { asProblem } from '../../api/call';
  import { addInstrument, editInstrument, lookForInstrument } from '../../api/client';
  import type { InstrumentForm, InstrumentView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';

  interface Props {
    /** Empty for a new one. */
    stored?: InstrumentView;
    onsaved: (id: string) => void;
  }

  let { stored, onsaved }: Props = $props();

  const kinds = $derived(known.view?.instrumentKinds ?? []);
  const blank: InstrumentForm = {
    kind: 'RH_PROBE',
    address: '',
    papers: { name: '', calibrated: '', due: '' },
  };
  // the form is made anew for another instrument
  // svelte-ignore state_referenced_locally
  let form = $state<InstrumentForm>(structuredClone(stored?.form ?? blank));
  const sending = new FormState();
  let looking = $state(false);

  const kind = $derived(kinds.find((k) => k.id === form.kind));

  async function look() {
    looking = true;
    sending.problem = null;
    try {
      form = await lookForInstrument(form.address);
    } catch (e) {
      sending.problem = asProblem(e);
    } finally {
      looking = false;
    }
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const sent = $state.snapshot(form);
    let id = '';
    const taken = await sending.send(sent, async (key) => {
      const saved = stored
        ? await editInstrument(stored.id, key, stored.version, sent)
        : await addInstrument(key, sent);
      id = saved.id;
    });
    if (taken) {
      onsaved(id);
    }
  }
</script>

<form onsubmit={save} novalidate>
  <Trouble
    problem={sending.problem}
    shown={['address', 'papers.name', 'papers.calibrated', 'papers.due']}
  />
  <div class="address">
    <TextEntry
      label="Address"
      hint="where it answers on this network; empty for one read by eye"
      fault={sending.fault('address')}
      bind:value={form.address}
    />
    <Button disabled={looking || form.address === ''} onclick={() => void look()}
      >Ask what it is</Button
    >
  </div>
  <div class="grid">
    <TextEntry
      label="Name"
      hint="with its number: Logger 4"
      fault={sending.fault('papers.name')}
      bind:value={form.papers.name}
    />
    <ChoiceEntry label="Kind" choices={kinds} bind:value={form.kind} />
    <TextEntry
      label="Calibrated"
      type="date"
      fault={sending.fault('papers.calibrated')}
      bind:value={form.papers.calibrated}
    />
    <TextEntry
      label="Good until"
      type="date"
      hint={kind ? `empty: ${kind.months} months on` : ''}
      fault={sending.fault('papers.due')}
      bind:value={form.papers.due}
    />
  </div>
  {#if form.papers.due !== '' && form.papers.due < appClock.now.toISOString().slice(0, 10)}
    <p class="lapsed">This certificate has run out: its readings do not count.</p>
  {/if}
  {#if kind}<p class="source">{kind.source.sentence}</p>{/if}
  <Button kind="main" type="submit" disabled={sending.busy}>Save instrument</Button>
</form>

<style>
  .address {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 12px;
    align-items: center;
  }

  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  .source,
  .lapsed {
    font-size: 14px;
    margin-block-end: 12px;
  }

  .source {
    color: var(--ink-soft);
  }

  .lapsed {
    color: var(--hold);
    font-weight: 600;
  }

  @media (max-width: 700px) {
    .grid,
    .address {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
