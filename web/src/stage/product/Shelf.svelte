<script lang="ts">
  import { ApiProblem, asProblem } from '../../api/call';
  import { readSheetFile, sheetFields, sheetFileUrl, shelf } from '../../api/client';
  import type { SheetFieldsView, SheetForm, SheetView, Units } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import { go, shelfHref } from '../../app/route.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Fold from '../../parts/Fold.svelte';
  import SideList from '../../parts/SideList.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import ShelfGallery from './ShelfGallery.svelte';
  import SheetDocuments from './SheetDocuments.svelte';
  import SheetEditor from './SheetEditor.svelte';
  import SheetMix from './SheetMix.svelte';
  import { blankSheet } from './sheet';

  let { slug }: { slug: string } = $props();

  let sheets = $state.raw<SheetView[] | null>(null);
  let fields = $state.raw<SheetFieldsView | null>(null);
  /** Counts what was saved here: the editor then begins again from the sheet as it stands. */
  let edition = $state(0);
  /** What a file says, and how often one was picked. */
  let offered = $state.raw<Partial<SheetForm>>({});
  let picked = $state(0);
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

  /** Into the form for a new sheet, where it is checked like one that is keyed in. */
  async function read(file: File) {
    try {
      offered = file.name.endsWith('.csv')
        ? await readSheetFile(file)
        : (JSON.parse(await file.text()) as SheetForm);
      problem = null;
      picked++;
    } catch (e) {
      problem =
        e instanceof SyntaxError
          ? new ApiProblem(400, { detail: `${file.name}: no sheet that can be read.` })
          : asProblem(e);
    }
  }

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
    <FilePick
      label="A sheet from a file"
      accept=".json,.csv"
      hint="as one was taken out here; look it through, then put it on the shelf"
      onpick={(file) => void read(file)}
    />
    {#key picked}<SheetEditor
        {fields}
        form={{ ...blankSheet(), ...offered }}
        onsaved={saved}
      />{/key}
  {:else if fields && chosen}
    <p class="out">
      Take it out as
      <a href={sheetFileUrl(slug, 'json')} download>JSON</a>
      or <a href={sheetFileUrl(slug, 'csv')} download>CSV</a>
    </p>
    {#key slug}<SheetDocuments {slug} />{/key}
    {#if chosen.form.kind !== 'BROADCAST' && chosen.role !== 'BROADCAST'}
      <Fold title="Mix some of it: a sample, half a kit, thinned">
        {#key `${slug} ${edition}`}<SheetMix {slug} units={chosen.form.units as Units} />{/key}
      </Fold>
    {/if}
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
    <ShelfGallery {sheets} />
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

  .out {
    font-size: 14px;
    color: var(--ink-soft);
  }

  .out a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    padding: 0 4px;
  }
</style>
