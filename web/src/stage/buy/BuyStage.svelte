<script lang="ts">
  import { takeOffFileUrl } from '../../api/client';
  import type { JobHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { jobHref, pricesHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Places from '../../parts/Places.svelte';
  import Arrivals from './Arrivals.svelte';
  import MaterialRow from './MaterialRow.svelte';
  import PlacedOrders from './PlacedOrders.svelte';
  import ShortageRow from './ShortageRow.svelte';
  import SupplierOrder from './SupplierOrder.svelte';
  import Together from './Together.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zoneId: string;
    /** Which place of it. */
    section: string;
  }

  let { desk, job, zoneId, section }: Props = $props();

  const PLACES = [
    { id: 'takes', label: 'What it takes' },
    { id: 'order', label: 'Order' },
    { id: 'came', label: 'What came' },
  ];

  $effect(() => desk.want(desk.takeOffPath));
  const view = $derived(desk.takeOff);
  const takeOff = $derived(view?.takeOff);
  const measured = $derived(takeOff?.losses.filter((l) => l.floors >= (view?.enough ?? 0)) ?? []);
</script>

<header>
  <h1>Buy</h1>
  {#if takeOff}
    <p class="sum">
      <FigureButton figure={takeOff.bill.cost} size="big" />
      {takeOff.bill.currency}
      <small>still to buy</small>
      {#if takeOff.bill.unpriced > 0}
        <small
          >{takeOff.bill.unpriced}
          {takeOff.bill.unpriced === 1 ? 'line has' : 'lines have'} no price yet</small
        >
      {/if}
    </p>
  {/if}
  <p class="files">
    <a href={takeOffFileUrl(job.id, 'take-off.xlsx')} download>Spreadsheet</a>
    <a href={takeOffFileUrl(job.id, 'order.csv')} download>Order as CSV</a>
    <a href={takeOffFileUrl(job.id, 'order.pdf')} target="_blank" rel="noreferrer">Order on paper</a
    >
    <a href={pricesHref}>Prices and store</a>
  </p>
</header>

{#if view && takeOff}
  <Together {desk} {job} {view} />
  <Places places={PLACES} {section} href={(id) => jobHref(job.id, zoneId, 'buy', id)} />

  {#each takeOff.delivered.shortages as shortage (shortage.slug + shortage.colour)}
    <ShortageRow {shortage} />
  {/each}

  <section id="at-takes" aria-labelledby="takes">
    <h2 id="takes">What it takes</h2>
    {#each takeOff.bill.materials as material (material.slug + material.colour)}
      <MaterialRow {desk} {job} {material} />
    {:else}
      <p class="empty">
        Nothing is left to lay{takeOff.laid > 0 ? `: ${takeOff.laid} layers are on` : ''}. What is
        bought follows from what goes on.
      </p>
    {/each}
    {#if takeOff.laid > 0 && takeOff.bill.materials.length > 0}
      <p class="aside">
        {takeOff.laid}
        {takeOff.laid === 1 ? 'layer is on and is' : 'layers are on and are'} left out.
      </p>
    {/if}
    {#if takeOff.losses.length > 0}
      <Fold
        title="Losses reckoned on top"
        about={measured.length > 0
          ? 'What this crew left in pails and rollers, from its own batches.'
          : `As each zone sets it. The crew's own count from the ${view.enough}rd finished floor on.`}
      >
        <dl class="losses">
          {#each takeOff.losses as loss (loss.role)}
            <div>
              <dt>{loss.label}</dt>
              <dd>
                <FigureButton
                  figure={loss.share}
                  text={`${(loss.share.value * 100).toFixed(1)} %`}
                />
                <small
                  >{loss.floors >= view.enough
                    ? `measured on ${loss.floors} floors`
                    : 'as it was set'}</small
                >
              </dd>
            </div>
          {/each}
        </dl>
      </Fold>
    {/if}
    {#if takeOff.bill.sundries.length > 0}
      <Fold
        title="Beside the materials"
        count={takeOff.bill.sundries.length}
        about="Tape, covers by nap, pails, protection, and what preparation takes, for all zones together."
        open
      >
        <ul class="small">
          {#each takeOff.bill.sundries as sundry (sundry.id)}
            <li>
              <FigureButton figure={sundry.count} text={`${sundry.count.value}\u00a0×`} />
              {sundry.label}
            </li>
          {/each}
        </ul>
      </Fold>
    {/if}
    {#if takeOff.own.length > 0}
      <Fold
        title="The crew's own"
        count={takeOff.own.length}
        about="Tools and what else the steps ask for that no list has."
      >
        <ul class="small">
          {#each takeOff.own as item (item)}
            <li>{item}</li>
          {/each}
        </ul>
      </Fold>
    {/if}
  </section>

  <section id="at-order" aria-labelledby="order">
    <h2 id="order">Order</h2>
    {#each takeOff.bill.suppliers as list (list.supplier)}
      <SupplierOrder {desk} {job} {list} currency={takeOff.bill.currency} />
    {:else}
      <p class="empty">Nothing is to be ordered.</p>
    {/each}
    <PlacedOrders {desk} {job} orders={view.orders} />
  </section>

  <section id="at-came" aria-labelledby="came">
    <h2 id="came">What came</h2>
    <Arrivals {desk} {job} {view} />
  </section>
{:else}
  <p class="empty">Counting…</p>
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 20px;
    margin-block-end: 10px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 22px;
    margin-block: 22px 6px;
  }

  .sum {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 10px;
  }

  small,
  .aside,
  .empty {
    color: var(--ink-soft);
  }

  .files {
    display: flex;
    flex-wrap: wrap;
    gap: 0 16px;
    margin-inline-start: auto;
  }

  .files a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
  }

  section {
    scroll-margin-block-start: 60px;
  }

  .aside {
    padding-block: 8px;
    font-size: 14px;
  }

  .losses,
  .small {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
    gap: 2px 20px;
  }

  .losses dd,
  .small li {
    display: flex;
    gap: 8px;
    align-items: baseline;
    padding-block: 4px;
  }
</style>
