<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { putInStore, storeRoom, takeOutOfStore } from '../../api/client';
  import { appClock } from '../../app/clock.svelte';
  import type { LeftoverView, PricedView } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { Signing } from './signing.svelte';

  interface Props {
    /** What may stand there. */
    sheets: readonly PricedView[];
  }

  let { sheets }: Props = $props();
  let all = $state.raw<LeftoverView[] | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let adding = $state(false);
  let slug = $state('');
  const said = $state({ amount: '', colour: '', maker: '', lot: '', bestBefore: '', from: '' });
  let opened = $state(false);
  const sending = new Signing();

  $effect(() => {
    storeRoom().then(
      (list) => (all = list),
      (e: unknown) => (problem = asProblem(e)),
    );
  });

  async function put(event: SubmitEvent) {
    event.preventDefault();
    const form = { slug: slug || (sheets[0]?.what ?? ''), ...said, opened };
    await sending.sign(form, async (key) => {
      all = await putInStore(key, {
        ...said,
        slug: form.slug,
        units: 'US',
        by: sending.by,
        ...(opened && { opened: new Date().toISOString() }),
      });
      adding = false;
    });
  }

  const gone = (l: LeftoverView) =>
    void sending.sign(['gone', l.leftover.id], async (key) => {
      all = await takeOutOfStore(l.leftover.id, key, sending.by || 'somebody');
    });

  const today = $derived(appClock.now.toISOString().slice(0, 10));

  const words = (l: LeftoverView) =>
    [
      l.leftover.colour,
      l.leftover.maker,
      l.leftover.lot && `lot ${l.leftover.lot}`,
      l.leftover.opened ? 'opened' : 'never opened',
      l.leftover.bestBefore && `good until ${l.leftover.bestBefore}`,
      l.leftover.from && `from ${l.leftover.from}`,
    ]
      .filter(Boolean)
      .join(', ');
</script>

<section aria-labelledby="room">
  <h2 id="room">Store room</h2>
  <p>
    What is left over from other jobs. It is used before anything is bought, where its sheet, its
    colour and its date allow.
  </p>
  <Trouble {problem} />
  <Trouble
    problem={sending.problem}
    shown={['amount', 'colour', 'maker', 'lot', 'bestBefore', 'by']}
  />
  <ul>
    {#each all ?? [] as left (left.leftover.id)}
      <li>
        <b>{left.typed}</b>
        {left.sheet} <small>{words(left)}</small>
        {#if left.leftover.bestBefore && left.leftover.bestBefore < today}<em>past its date</em
          >{/if}
        <Button kind="quiet" disabled={sending.busy} onclick={() => gone(left)}>Thrown away</Button>
      </li>
    {:else}
      <li>{all ? 'Nothing stands there.' : 'Looking…'}</li>
    {/each}
  </ul>
  {#if adding}
    <form onsubmit={put} novalidate>
      <ChoiceEntry
        label="What"
        choices={sheets.map((s) => ({ id: s.what, label: s.title }))}
        fault={sending.fault('slug')}
        bind:value={() => slug || (sheets[0]?.what ?? ''), (v) => (slug = v)}
      />
      <div class="row">
        <TextEntry
          label="How much"
          hint="with its unit: 2.5 gal, 9 L, 20 lb"
          bind:value={said.amount}
          fault={sending.fault('amount')}
        />
        <TextEntry label="Colour" bind:value={said.colour} fault={sending.fault('colour')} />
        <TextEntry label="Maker" bind:value={said.maker} fault={sending.fault('maker')} />
        <TextEntry label="Lot" bind:value={said.lot} fault={sending.fault('lot')} />
        <TextEntry
          label="Good until"
          type="date"
          bind:value={said.bestBefore}
          fault={sending.fault('bestBefore')}
        />
        <TextEntry label="Left from" bind:value={said.from} fault={sending.fault('from')} />
        <TextEntry
          label="By"
          bind:value={sending.by}
          fault={sending.fault('by')}
          autocomplete="name"
        />
      </div>
      <label><input type="checkbox" bind:checked={opened} /> Its lid was off</label>
      <Button kind="main" type="submit" disabled={sending.busy}>Put it there</Button>
      <Button kind="quiet" onclick={() => (adding = false)}>Not now</Button>
    </form>
  {:else}
    <Button disabled={sheets.length === 0} onclick={() => (adding = true)}
      >Put something there</Button
    >
  {/if}
</section>

<style>
  h2 {
    font-size: 22px;
    margin-block: 10px 4px;
  }

  p,
  small {
    color: var(--ink-soft);
  }

  ul {
    margin-block: 8px;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 10px;
    padding-block: 4px;
    border-block-start: 1px solid var(--line);
  }

  b {
    font: 600 18px var(--figures);
  }

  em {
    color: var(--hold);
    font-weight: 600;
  }

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

  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-block-size: var(--tap);
  }
</style>
