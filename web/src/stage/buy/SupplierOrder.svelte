<script lang="ts">
  import { placeOrder } from '../../api/client';
  import type { JobHead, SupplierList } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { money } from './money';
  import { Signing } from './signing.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    list: SupplierList;
    /** Its code; empty where nobody said. */
    currency: string;
  }

  let { desk, job, list, currency }: Props = $props();
  const name = $derived(list.supplier || 'No supplier noted');
  /** What somebody orders instead of what was reckoned, by line; empty where it is left out. */
  let instead = $state<Record<string, string>>({});
  let note = $state('');
  /** Whom a list goes to of which nobody noted a supplier. */
  let from = $state('');
  const sending = new Signing();

  const keyOf = (l: SupplierList['lines'][number]) => `${l.what} ${l.colour} ${l.pack}`;
  const numberOf = (l: SupplierList['lines'][number]) => instead[keyOf(l)] ?? String(l.count);
  const ordered = $derived(list.lines.filter((l) => !['', '0'].includes(numberOf(l).trim())));
  const cents = $derived(
    ordered.reduce((sum, l) => sum + (Number(numberOf(l)) || 0) * l.eachCents, 0),
  );

  async function place(event: SubmitEvent) {
    event.preventDefault();
    const lines = ordered.map((l) => ({
      what: l.what,
      colour: l.colour,
      pack: l.pack,
      number: numberOf(l),
    }));
    const form = { supplier: list.supplier || from, by: sending.by, note, lines };
    if (
      await sending.sign(form, (key) =>
        desk.bought(placeOrder(job.id, key, { ...form, by: sending.by }), 'Noted as ordered'),
      )
    ) {
      instead = {};
      note = '';
      from = '';
    }
  }
</script>

<form onsubmit={place} novalidate aria-label={name}>
  <h3>{name}</h3>
  <table>
    <thead>
      <tr>
        <th scope="col">How many</th>
        <th scope="col">What</th>
        <th scope="col" class="money">Each</th>
        <th scope="col" class="money">Cost{currency ? `, ${currency}` : ''}</th>
      </tr>
    </thead>
    <tbody>
      {#each list.lines as line (keyOf(line))}
        {@const at = ordered.indexOf(line)}
        {@const wrong = at < 0 ? undefined : sending.fault(`lines[${at}].number`)}
        <tr>
          <td
            ><input
              inputmode="numeric"
              aria-label="How many of {line.title}, {line.pack}"
              aria-invalid={wrong !== undefined}
              value={numberOf(line)}
              oninput={(e) => (instead[keyOf(line)] = e.currentTarget.value)}
            /></td
          >
          <td
            >{line.pack === 'each' ? '' : `${line.pack}: `}{line.title}{line.colour
              ? `, ${line.colour}`
              : ''}
            {#if wrong}<em role="status">Accepted: {wrong.accepted}.</em>{/if}</td
          >
          <td class="money">{money(line.eachCents) || 'no price'}</td>
          <td class="money">{money((Number(numberOf(line)) || 0) * line.eachCents)}</td>
        </tr>
      {/each}
    </tbody>
    <tfoot>
      <tr>
        <td></td>
        <td>All of this list</td>
        <td></td>
        <td class="money">{money(cents)}</td>
      </tr>
    </tfoot>
  </table>
  <div class="sign">
    {#if !list.supplier}
      <TextEntry
        label="Supplier"
        bind:value={from}
        fault={sending.fault('supplier')}
        autocomplete="organization"
      />
    {/if}
    <TextEntry label="Note" bind:value={note} fault={sending.fault('note')} />
    <TextEntry label="By" bind:value={sending.by} fault={sending.fault('by')} autocomplete="name" />
    <Button type="submit" disabled={sending.busy || ordered.length === 0}>This went out</Button>
  </div>
  <Trouble
    problem={sending.problem}
    shown={['supplier', 'by', 'note', ...ordered.map((_, i) => `lines[${i}].number`)]}
  />
</form>

<style>
  form {
    margin-block-end: 18px;
  }

  h3 {
    font: 600 17px/1.3 var(--text);
    padding-block: 6px;
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  td {
    border-block-start: 1px solid var(--line);
    padding-block: 3px;
    padding-inline-end: 12px;
  }

  td:first-child {
    inline-size: 84px;
  }

  input {
    inline-size: 68px;
    text-align: end;
    font: 600 18px var(--figures);
  }

  .money {
    text-align: end;
    font: 600 17px var(--figures);
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
    padding-inline-end: 0;
    inline-size: 92px;
  }

  th.money {
    font: 400 13px var(--text);
  }

  tfoot td {
    font-weight: 600;
  }

  em {
    color: var(--stop);
  }

  .sign {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto;
    gap: 12px;
    align-items: center;
    padding-block-start: 8px;
  }

  @media (max-width: 759px) {
    .sign {
      grid-template-columns: minmax(0, 1fr);
    }

    .money {
      inline-size: 66px;
    }
  }
</style>
