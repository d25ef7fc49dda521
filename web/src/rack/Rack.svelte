<script lang="ts">
  import { type ApiProblem, asProblem } from '../api/call';
  import { rack } from '../api/client';
  import type { RackItem } from '../api/types';
  import TopBar from '../app/TopBar.svelte';
  import { plainKey } from '../app/keys';
  import { instrumentHref, jobHref, shelfHref } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import JobDialog from './JobDialog.svelte';
  import ImportDialog from './ImportDialog.svelte';
  import RackCore from './RackCore.svelte';

  let items = $state.raw<RackItem[] | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let find = $state('');
  let archived = $state(false);
  let dialog = $state<'none' | 'new' | 'import'>('none');
  let finder = $state<HTMLInputElement>();

  const shown = $derived(
    items?.filter(
      (i) =>
        i.archived === archived &&
        `${i.name} ${i.client} ${i.place}`.toLowerCase().includes(find.trim().toLowerCase()),
    ) ?? [],
  );
  const put = $derived(items?.filter((i) => i.archived).length ?? 0);

  async function load() {
    try {
      items = await rack();
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());

  function onkeydown(event: KeyboardEvent) {
    const key = plainKey(event);
    if (key === '/') {
      event.preventDefault();
      finder?.focus();
    } else if (key === 'n') {
      dialog = 'new';
    }
  }
</script>

<svelte:window {onkeydown} />

<TopBar>
  {#snippet actions()}
    <a class="shelf" href={shelfHref()}>Product sheets</a>
    <a class="shelf" href={instrumentHref()}>Instruments</a>
    <Button onclick={() => (dialog = 'import')}>Import</Button>
    <Button kind="main" hint="n" onclick={() => (dialog = 'new')}>New job</Button>
  {/snippet}
</TopBar>

<main>
  <div class="head">
    <h1>The rack</h1>
    <p>
      {#if items && items.length > 0}
        {archived ? 'jobs put away' : 'the clock that runs out first stands first'}
      {/if}
    </p>
    <label>
      <span>Find</span>
      <input type="search" bind:this={finder} bind:value={find} placeholder="name, client, place" />
      <kbd aria-hidden="true">/</kbd>
    </label>
    {#if put > 0 || archived}
      <Button kind="quiet" onclick={() => (archived = !archived)}>
        {archived ? 'Back to the rack' : `Put away (${put})`}
      </Button>
    {/if}
  </div>

  <Trouble {problem} />
  {#if items?.length === 0}
    <div class="empty">
      <h2>No floor on the rack yet</h2>
      <p>Start with the floor you are standing on: give it a name, then key in its sides.</p>
      <Button kind="main" onclick={() => (dialog = 'new')}>New job</Button>
    </div>
  {:else if items && shown.length === 0}
    <p class="empty">Nothing here is called “{find}”.</p>
  {/if}
  <ol>
    {#each shown as item (item.id)}
      <li><RackCore {item} href={jobHref(item.id, item.lead?.id)} /></li>
    {/each}
  </ol>
</main>

{#if dialog === 'new'}
  <JobDialog onclose={() => (dialog = 'none')} />
{:else if dialog === 'import'}
  <ImportDialog onclose={() => (dialog = 'none')} />
{/if}

<style>
  main {
    padding: 20px 28px 40px;
  }

  .shelf {
    padding: 10px;
    font-weight: 600;
  }

  .head {
    display: flex;
    align-items: baseline;
    gap: 16px;
    flex-wrap: wrap;
    margin-block-end: 20px;
  }

  h1 {
    font-size: 34px;
  }

  .head p {
    flex: 1;
    color: var(--ink-soft);
  }

  .head label {
    display: flex;
    align-items: center;
    gap: 8px;
    color: var(--ink-soft);
  }

  input {
    min-block-size: 40px;
    inline-size: 220px;
    padding: 4px 10px;
    border: 0;
    border-block-end: 1px solid var(--line-strong);
    background: transparent;
  }

  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(164px, 1fr));
    gap: 12px;
  }

  .empty {
    max-inline-size: 460px;
    display: grid;
    gap: 12px;
    justify-items: start;
    padding-block: 40px;
  }

  @media (max-width: 700px) {
    main {
      padding: 12px 12px 32px;
    }

    .head {
      gap: 4px 12px;
      margin-block-end: 8px;
    }

    .head label {
      flex: 1 1 100%;
    }

    input {
      flex: 1;
    }

    ol {
      grid-template-columns: 1fr;
      gap: 0;
    }

    .shelf {
      font-size: 14px;
      padding: 8px 2px;
    }
  }
</style>
