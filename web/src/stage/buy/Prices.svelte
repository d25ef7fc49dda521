<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { prices, setPrices } from '../../api/client';
  import type { PricedView } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import Button from '../../parts/Button.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import Money from './Money.svelte';
  import StoreRoom from './StoreRoom.svelte';
  import { money } from './money';

  let all = $state.raw<PricedView[] | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let find = $state('');
  /** Of which thing the prices are being changed. */
  let open = $state('');
  let rows = $state<{ pack: string; supplier: string; price: string }[]>([]);
  const sending = new FormState();

  $effect(() => {
    prices().then(
      (list) => (all = list),
      (e: unknown) => (problem = asProblem(e)),
    );
  });

  const shown = $derived(
    all?.filter((p) => p.title.toLowerCase().includes(find.trim().toLowerCase())) ?? [],
  );

  function change(of: PricedView) {
    open = of.what;
    sending.problem = null;
    rows = of.packs.flatMap((p) =>
      p.prices.length > 0
        ? p.prices.map((x) => ({ pack: p.pack, supplier: x.supplier, price: money(x.cents) }))
        : [{ pack: p.pack, supplier: '', price: '' }],
    );
  }

  async function save(of: PricedView) {
    const list = rows.filter((r) => r.price.trim() !== '');
    await sending.send([of.what, list], async (key) => {
      all = await setPrices(of.what, key, list);
      open = '';
    });
  }

  const fault = (row: { price: string }, field: string) =>
    sending.fault(
      `prices[${rows.filter((r) => r.price.trim() !== '').indexOf(row as never)}].${field}`,
    );
</script>

<TopBar>
  <h1>Prices and store</h1>
</TopBar>
<main>
  <Trouble {problem} />
  <StoreRoom sheets={all?.filter((p) => !p.small) ?? []} />
  <section aria-labelledby="book">
    <h2 id="book">Price book</h2>
    <p class="about">
      A price noted here beats the one on the sheet. Of several suppliers the cheapest is taken,
      pack by pack.
    </p>
    <Money />
    <label class="find">Find <input type="search" bind:value={find} /></label>
    {#each shown as of (of.what)}
      <article aria-label={of.title}>
        <h3>{of.title}</h3>
        {#if open === of.what}
          <form
            onsubmit={(e) => {
              e.preventDefault();
              void save(of);
            }}
            novalidate
          >
            {#each rows as row, i (i)}
              <div class="row">
                <span>{row.pack === 'each' ? 'one' : row.pack}</span>
                <input
                  aria-label="Supplier of {row.pack}, {i + 1}"
                  placeholder="supplier"
                  aria-invalid={fault(row, 'supplier') !== undefined}
                  bind:value={row.supplier}
                />
                <input
                  aria-label="Price of {row.pack}, {i + 1}"
                  inputmode="decimal"
                  placeholder="price"
                  aria-invalid={fault(row, 'price') !== undefined}
                  bind:value={row.price}
                />
                {#if fault(row, 'price')}<em role="status"
                    >Accepted: {fault(row, 'price')?.accepted}.</em
                  >{/if}
                {#if fault(row, 'supplier')}<em role="status"
                    >Accepted: {fault(row, 'supplier')?.accepted}.</em
                  >{/if}
              </div>
            {/each}
            {#each of.packs as pack (pack.pack)}
              <Button
                kind="quiet"
                onclick={() => rows.push({ pack: pack.pack, supplier: '', price: '' })}
                >Another supplier{of.packs.length > 1 ? ` of ${pack.pack}` : ''}</Button
              >
            {/each}
            <div>
              <Button kind="main" type="submit" disabled={sending.busy}>Save prices</Button>
              <Button kind="quiet" onclick={() => (open = '')}>Not now</Button>
            </div>
            <Trouble
              problem={sending.problem}
              shown={rows.flatMap((_, i) => [`prices[${i}].price`, `prices[${i}].supplier`])}
            />
          </form>
        {:else}
          <ul>
            {#each of.packs as pack (pack.pack)}
              <li>
                {pack.pack === 'each' ? '' : pack.pack}
                {#each pack.prices as price (price.supplier)}
                  <b>{money(price.cents)}</b> <small>{price.supplier || 'no supplier noted'}</small>
                {:else}
                  <b>{money(pack.sheetCents)}</b>
                  <small>{pack.sheetCents > 0 ? 'by its sheet' : 'no price'}</small>
                {/each}
              </li>
            {/each}
          </ul>
          <Button kind="quiet" onclick={() => change(of)}>Change</Button>
        {/if}
      </article>
    {:else}
      <p class="about">{all ? 'Nothing is called so.' : 'Fetching the price book…'}</p>
    {/each}
  </section>
</main>

<style>
  h1 {
    font-size: 24px;
  }

  main {
    max-inline-size: 980px;
    margin-inline: auto;
    padding: 16px 20px 60px;
  }

  h2 {
    font-size: 22px;
    margin-block: 22px 4px;
  }

  .about,
  small {
    color: var(--ink-soft);
  }

  .find {
    display: flex;
    align-items: center;
    gap: 8px;
    padding-block: 10px;
  }

  article {
    display: grid;
    grid-template-columns: minmax(180px, 1fr) minmax(0, 2fr) auto;
    gap: 4px 16px;
    align-items: center;
    border-block-start: 1px solid var(--line);
    padding-block: 4px;
  }

  article:has(form) {
    grid-template-columns: minmax(180px, 1fr) minmax(0, 3fr);
    align-items: start;
  }

  h3 {
    font: 500 16px/1.3 var(--text);
  }

  li {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 8px;
    align-items: baseline;
  }

  b {
    font: 600 17px var(--figures);
  }

  .row {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1.2fr) 96px;
    gap: 8px;
    align-items: center;
    padding-block: 3px;
  }

  em {
    grid-column: 1 / -1;
    color: var(--stop);
  }

  @media (max-width: 759px) {
    article,
    article:has(form) {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
