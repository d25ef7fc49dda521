<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import TopBar from '../../app/TopBar.svelte';
  import { shopInstruments } from '../../app/instruments.svelte';
  import { known } from '../../app/reference.svelte';
  import { go, instrumentHref } from '../../app/route.svelte';
  import SideList from '../../parts/SideList.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import InstrumentEditor from './InstrumentEditor.svelte';
  import InstrumentPage from './InstrumentPage.svelte';

  let { id }: { id: string } = $props();

  let problem = $state.raw<ApiProblem | null>(null);
  let loaded = $state(false);

  const kind = (k: string) => known.view?.instrumentKinds.find((v) => v.id === k)?.label ?? k;
  const chosen = $derived(shopInstruments.all.find((i) => i.id === id));
  const items = $derived([
    ...shopInstruments.all.map((i) => ({
      href: instrumentHref(i.id),
      title: i.form.papers.name,
      note: i.lapsed ? 'calibration lapsed' : kind(i.form.kind).toLowerCase(),
      warns: i.lapsed,
      current: i.id === id,
    })),
    {
      href: instrumentHref('new'),
      title: 'Add an instrument',
      note: 'by its address, or by hand',
      current: id === 'new',
    },
  ]);

  async function load() {
    try {
      await shopInstruments.load();
      loaded = true;
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());

  async function saved(to: string) {
    await load();
    go(instrumentHref(to));
  }
</script>

<TopBar>
  <b>Instruments</b>
</TopBar>
<Trouble {problem} />
<SideList {items} label="Instruments">
  {#if id === 'new'}
    <h1>Add an instrument</h1>
    <InstrumentEditor onsaved={saved} />
  {:else if chosen}
    {#key chosen.id}<InstrumentPage instrument={chosen} onsaved={saved} />{/key}
  {:else if loaded}
    <h1>Instruments</h1>
    <p>
      What readings are taken with. A reading counts while the certificate holds; what an instrument
      sends is looked over, and what cannot be trusted is set aside with the reason. Pick one, or
      add the first.
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
