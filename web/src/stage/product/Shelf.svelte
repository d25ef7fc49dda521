<script lang="ts">
  import { ApiProblem, sheetFields, shelf } from '../../api/client';
  import type { SheetFieldsView, SheetView } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import { shelfHref } from '../../app/route.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import SheetEditor from './SheetEditor.svelte';
  import { blankSheet } from './sheet';

  let { slug }: { slug: string } = $props();

  let sheets = $state.raw<SheetView[] | null>(null);
  let fields = $state.raw<SheetFieldsView | null>(null);
  /** Counts what was saved here: the editor then begins again from the sheet as it stands. */
  let edition = $state(0);
  let problem = $state.raw<ApiProblem | null>(null);

  const chosen = $derived(sheets?.find((s) => s.slug === slug));

  async function load() {
    try {
      [sheets, fields] = await Promise.all([shelf(), sheetFields()]);
    } catch (e) {
      problem = e instanceof ApiProblem ? e : new ApiProblem(0, {});
    }
  }

  $effect(() => void load());

  async function saved(to: string) {
    await load();
    edition++;
    location.hash = shelfHref(to);
  }
</script>

<TopBar>
  <b>Product sheets</b>
</TopBar>
<Trouble {problem} />
<div class="screen">
  <nav aria-label="Product sheets">
    <ul>
      {#each sheets ?? [] as sheet (sheet.slug)}
        <li>
          <a href={shelfHref(sheet.slug)} aria-current={sheet.slug === slug ? 'page' : undefined}>
            <b>{sheet.name}</b><span>{sheet.role.toLowerCase()}</span>
          </a>
        </li>
      {/each}
      <li>
        <a href={shelfHref('new')} aria-current={slug === 'new' ? 'page' : undefined}
          ><b>Add a sheet</b><span>key in the one in hand</span></a
        >
      </li>
    </ul>
  </nav>
  <main>
    {#if fields && slug === 'new'}
      {#key 'new'}<SheetEditor {fields} form={blankSheet()} onsaved={saved} />{/key}
    {:else if fields && chosen}
      {#key `${slug} ${edition}`}<SheetEditor
          {fields}
          form={chosen.form}
          stored={chosen}
          onsaved={saved}
          onstale={load}
        />{/key}
    {:else if sheets}
      <h1>The shelf</h1>
      <p>
        Every number belongs to a product. Pick a sheet to read or edit it; the sheet in hand beats
        every default. A job keeps the sheet it was planned with until somebody changes it there.
      </p>
    {/if}
  </main>
</div>

<style>
  .screen {
    display: grid;
    grid-template-columns: 262px minmax(0, 1fr);
    min-block-size: calc(100vh - 57px);
  }

  nav {
    padding: 20px 0;
    border-inline-end: 1px solid var(--line);
  }

  a {
    display: grid;
    align-content: center;
    min-block-size: 58px;
    padding: 0 20px;
    border-inline-start: 4px solid transparent;
    color: inherit;
    text-decoration: none;
  }

  a:hover {
    background: var(--chalk-wash);
  }

  a[aria-current] {
    border-color: var(--chalk);
    background: var(--paper);
  }

  a span {
    font-size: 13px;
    color: var(--ink-soft);
  }

  main {
    padding: 20px 28px 60px;
    max-inline-size: 980px;
  }

  h1 {
    font-size: 30px;
    margin-block-end: 8px;
  }

  main > p {
    max-inline-size: 60ch;
  }

  @media (max-width: 759px) {
    .screen {
      display: block;
    }

    nav {
      padding: 0;
      border: 0;
      border-block-end: 1px solid var(--line);
    }

    a {
      min-block-size: 48px;
    }

    main {
      padding: 16px 12px 60px;
    }
  }
</style>
