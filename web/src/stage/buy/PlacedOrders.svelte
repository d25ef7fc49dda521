<script lang="ts">
  import { strikeOrder } from '../../api/client';
  import type { JobHead, PlacedOrder } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';
  import { money } from './money';
  import { Signing } from './signing.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    orders: readonly PlacedOrder[];
  }

  let { desk, job, orders }: Props = $props();
  const sending = new Signing();

  const strike = (order: PlacedOrder) =>
    void sending.sign(['strike', order.id], (key) =>
      desk.bought(strikeOrder(job.id, order.id, key, sending.by || 'somebody'), 'Order struck'),
    );
</script>

{#if orders.length > 0}
  <Fold title="Went out" count={orders.length} open>
    <Trouble problem={sending.problem} />
    {#each orders as order (order.id)}
      <article aria-label="Order {order.number}">
        <h3>
          {order.number}. {order.supplier || 'No supplier noted'}
          <small>{order.by}, {when(new Date(order.at), job.facts.timeZone, appClock.now)}</small>
        </h3>
        <ul>
          {#each order.lines as line, i (i)}
            <li>
              <b>{line.number} ×</b>
              {line.pack === 'each' ? '' : `${line.pack}: `}{line.title}{line.colour
                ? `, ${line.colour}`
                : ''}
              <span>{money(line.number * line.eachCents)}</span>
            </li>
          {/each}
        </ul>
        {#if order.note}<p>{order.note}</p>{/if}
        <Button kind="quiet" disabled={sending.busy} onclick={() => strike(order)}
          >Strike: it did not go out</Button
        >
      </article>
    {/each}
  </Fold>
{/if}

<style>
  article {
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }

  h3 {
    font: 600 16px/1.3 var(--text);
  }

  small {
    font-weight: 400;
    color: var(--ink-soft);
  }

  li {
    display: flex;
    gap: 6px;
    align-items: baseline;
  }

  b,
  span {
    font: 600 17px var(--figures);
  }

  span {
    margin-inline-start: auto;
  }
</style>
