<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { shelf, systemFields, systems } from '../../api/client';
  import type { ListedSystem, SheetView, SystemFieldsView, SystemForm } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import { go, systemHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import SideList from '../../parts/SideList.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import SystemEditor from './SystemEditor.svelte';
  import SystemGallery from './SystemGallery.svelte';
  import SystemPage from './SystemPage.svelte';

  /** @param id of the one that is looked at; {@code new.ID} of one that is being made of it */
  let { id }: { id: string } = $props();

  let listed = $state.raw<ListedSystem[]>([]);
  let fields = $state.raw<SystemFieldsView | null>(null);
  let sheets = $state.raw<SheetView[]>([]);
  let problem = $state.raw<ApiProblem | null>(null);
  /** Counts what was saved: the editor then begins again from what stands. */
  let edition = $state(0);

  const making = $derived(id.startsWith('new.'));
  const chosen = $derived(
    listed.find((s) => s.form.id === (making ? id.slice('new.'.length) : id)),
  );
  const items = $derived(
    listed.map((s) => ({
      href: systemHref(s.form.id),
      title: s.form.title,
      note:
        s.version > 0
          ? `the shop's own, version ${s.version}`
          : s.form.layers.length === 1
            ? 'one layer'
            : `${s.form.layers.length} layers`,
      current: s.form.id === chosen?.form.id,
    })),
  );

  async function load() {
    try {
      [listed, fields, sheets] = await Promise.all([systems(), systemFields(), shelf()]);
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());

  /** One to begin with: the same, under a name that is free. */
  function copy(form: SystemForm): SystemForm {
    const taken = new Set(listed.map((s) => s.form.id));
    const base = `own-${form.id}`.slice(0, 36);
    let name = base;
    for (let n = 2; taken.has(name); n++) {
      name = `${base}-${n}`;
    }
    return { ...structuredClone(form), id: name, title: `${form.title}, ours` };
  }

  async function saved(to: string) {
    await load();
    edition++;
    go(systemHref(to));
  }
</script>

<TopBar>
  <b>Systems</b>
</TopBar>
<Trouble {problem} />
<SideList {items} label="Systems">
  {#if fields && chosen && making}
    {#key id}
      <SystemEditor form={copy(chosen.form)} version={0} {fields} {sheets} onsaved={saved} />
    {/key}
  {:else if fields && chosen && chosen.version > 0}
    {#key `${id} ${edition}`}
      <SystemEditor form={chosen.form} version={chosen.version} {fields} {sheets} onsaved={saved} />
    {/key}
  {:else if fields && chosen}
    <SystemPage form={chosen.form} {fields} {sheets} />
    <Button kind="main" onclick={() => go(systemHref(`new.${chosen.form.id}`))}
      >Make one of your own of it</Button
    >
  {:else if listed.length > 0}
    <h1>Systems</h1>
    <p>
      The ways a floor is finished. Pick the one that is nearest to how you work, and make one of
      your own of it: other sheets, other layers, your own words for the steps.
    </p>
    {#if fields}<SystemGallery {listed} {fields} />{/if}
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
