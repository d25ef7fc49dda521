<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { sheetFields, shelf } from '../../api/client';
  import type { SheetFieldsView, SheetView } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import { go, shelfHref } from '../../app/route.svelte';
  import SideList from '../../parts/SideList.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import SheetEditor from './SheetEditor.svelte';
  import { blankSheet } from './sheet';

  let { slug }: { slug: string } = $props();

  let sheets = $state.raw<SheetView[] | null>(null);
  let fields = $state.raw<SheetFieldsView | null>(null);
  /** Counts what was saved here: the editor then begins again from the sheet as it stands. */
  let edition = $state(0);
  let problem = $state.raw<ApiProblem | null>(null);

  const items = $derived([
    ...(sheets ?? []).map((s) => ({
      href: shelfHref(s.slug),
      title: s.name,
      note: s.role.toLowerCase(),
      current: s.slug === slug,
    })),
    {
      href: shelfHref('new'),
      title: 'Add a sheet',
      note: 'key in the one in hand',
      current: slug === 'new',
    },
  ]);
  const chosen = $derived(sheets?.find((s) => s.slug === slug));

  async function load() {
    try {
      [sheets, fields] = await Promise.all([shelf(), sheetFields()]);
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());

  async function saved(to: string) {
    await load();
    edition++;
    go(shelfHref(to));
  }
</script>

<TopBar>
  <b>Product sheets</b>
</TopBar>
<Trouble {problem} />
<SideList {items} label="Product sheets">
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
</SideList>

<style>
  h1 {
    font-size: 30px;
    margin-block-end: 8px;
  }

  p {
    max-inline-size: 60ch;
  }
</style>
