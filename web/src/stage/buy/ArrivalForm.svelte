<script lang="ts">
  import { noteDelivery } from '../../api/client';
  import type { JobHead, TakeOffView } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { Signing } from './signing.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    view: TakeOffView;
    onclose: () => void;
  }

  let { desk, job, view, onclose }: Props = $props();
  const OTHER = '';

  /** What may have come: what was ordered first, then what is needed. */
  const expected = $derived([
    ...new Map(
      [
        ...view.orders
          .flatMap((o) => o.lines.filter((l) => l.size > 0))
          .map((l) => ({
            slug: l.what,
            title: l.title,
            pack: l.pack,
            colour: l.colour,
          })),
        ...view.takeOff.bill.materials.flatMap((m) =>
          m.lines.map((l) => ({ slug: m.slug, title: m.sheet, pack: l.pack, colour: m.colour })),
        ),
        ...view.takeOff.bill.materials.map((m) => ({
          slug: m.slug,
          title: m.sheet,
          pack: OTHER,
          colour: m.colour,
        })),
      ].map((e) => [`${e.slug} ${e.pack} ${e.colour}`, e]),
    ),
  ]);
  let which = $state('');
  const picked = $derived(expected.find(([key]) => key === which)?.[1] ?? expected[0]?.[1] ?? null);
  const said = $state({
    number: '1',
    size: '',
    maker: '',
    colour: '',
    lot: '',
    bestBefore: '',
    note: '',
  });
  let faults = $state<string[]>([]);
  let boxed = $state(false);
  let there = $state<string[]>([]);
  const box = $derived(view.boxes.find((b) => b.slug === picked?.slug)?.things ?? []);
  const sending = new Signing();

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!picked) {
      return;
    }
    const form = {
      slug: picked.slug,
      pack: picked.pack,
      ordered: picked.colour,
      faults,
      ticked: there,
      boxed,
      ...said,
    };
    if (
      await sending.sign(form, (key) =>
        desk.bought(noteDelivery(job.id, key, { ...form, by: sending.by }), 'Noted what came'),
      )
    ) {
      onclose();
    }
  }
</script>

<form onsubmit={save} novalidate aria-label="What came">
  {#if picked}
    <ChoiceEntry
      label="What"
      choices={expected.map(([id, e]) => ({
        id,
        label: [e.title, e.colour, e.pack || 'another pack'].filter(Boolean).join(', '),
      }))}
      fault={sending.fault('slug') ?? sending.fault('pack')}
      bind:value={
        () => which || (expected[0]?.[0] ?? ''),
        (v) => {
          which = v;
          // what was ticked lay in another box
          there = [];
        }
      }
    />
    <div class="row">
      <TextEntry
        label="How many"
        inputmode="numeric"
        bind:value={said.number}
        fault={sending.fault('number')}
      />
      {#if picked.pack === OTHER}
        <TextEntry
          label="Each holds"
          hint={job.facts.units === 'US' ? 'gal or lb' : 'L or kg'}
          bind:value={said.size}
          fault={sending.fault('size')}
        />
      {/if}
      <TextEntry
        label="Lot"
        hint="of every label"
        bind:value={said.lot}
        fault={sending.fault('lot')}
      />
      <TextEntry
        label="Good until"
        type="date"
        bind:value={said.bestBefore}
        fault={sending.fault('bestBefore')}
      />
    </div>
    <div class="row">
      <TextEntry label="Maker" bind:value={said.maker} fault={sending.fault('maker')} />
      <TextEntry
        label="Colour on the label"
        hint={picked.colour ? `ordered: ${picked.colour}` : 'empty: it has none'}
        bind:value={said.colour}
        fault={sending.fault('colour')}
      />
    </div>
    {#if box.length > 0}
      <fieldset>
        <legend>In every box, ticked off</legend>
        {#each box as thing (thing)}
          <label
            ><input type="checkbox" value={thing} bind:group={there} /> <span>{thing}</span></label
          >
        {/each}
        {#if there.length > 0 && there.length < box.length}
          <p class="missing">What is not ticked is noted as missing.</p>
        {/if}
      </fieldset>
    {/if}
    <fieldset>
      <legend>Lids off, stirred, looked at</legend>
      {#each view.faults.filter((f) => box.length === 0 || f.id !== 'MISSING') as fault (fault.id)}
        <label
          ><input type="checkbox" value={fault.id} bind:group={faults} />
          <span>{fault.label}</span></label
        >
      {/each}
      <label
        ><input type="checkbox" bind:checked={boxed} /> <span>Poured together already</span></label
      >
    </fieldset>
    <TextEntry label="Note" bind:value={said.note} fault={sending.fault('note')} />
    <TextEntry label="By" bind:value={sending.by} fault={sending.fault('by')} autocomplete="name" />
    <Trouble
      problem={sending.problem}
      shown={[
        'slug',
        'pack',
        'number',
        'size',
        'lot',
        'bestBefore',
        'maker',
        'colour',
        'note',
        'by',
      ]}
    />
    <Button kind="main" type="submit" disabled={sending.busy}>Save what came</Button>
  {:else}
    <p>Nothing is needed and nothing was ordered: there is nothing to check.</p>
  {/if}
  <Button kind="quiet" onclick={onclose}>Not now</Button>
</form>

<style>
  form {
    padding: 12px 14px;
    background: var(--paper);
    border: 1px solid var(--line);
  }

  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 0 12px;
  }

  legend {
    font-weight: 500;
  }

  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 0 18px;
  }

  .missing {
    inline-size: 100%;
    margin: 0;
    color: var(--stop);
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
  }
</style>
