<script lang="ts">
  import { type ApiProblem, asProblem } from '../api/call';
  import { rack } from '../api/client';
  import type { RackItem } from '../api/types';
  import TopBar from '../app/TopBar.svelte';
  import { plainKey } from '../app/keys';
  import {
    instrumentHref,
    jobHref,
    practicesHref,
    pricesHref,
    shelfHref,
    systemHref,
  } from '../app/route.svelte';
  import Button from '../parts/Button.svelte';
  import { gradually } from '../parts/gradually.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import JobDialog from './JobDialog.svelte';
  import ImportDialog from './ImportDialog.svelte';
  import RackCore from './RackCore.svelte';
  import RackRow from './RackRow.svelte';

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
  const GROUPS: readonly { due: RackItem['due']; title: string; about: string }[] = [
    { due: 'TODAY', title: 'Due today', about: 'a clock runs out within a day' },
    { due: 'THIS_WEEK', title: 'This week', about: 'a clock runs out within seven days' },
    { due: 'WAITING', title: 'Waiting', about: 'nothing runs: it goes on when somebody acts' },
    { due: 'AT_REST', title: 'At rest', about: 'nothing to be done for a week or more' },
  ];
  const groups = $derived(
    archived
      ? [{ due: 'AT_REST' as const, title: 'Put away', about: '', items: shown }]
      : GROUPS.map((g) => ({ ...g, items: shown.filter((i) => i.due === g.due) })),
  );
  const place = $derived(
    new Map(groups.flatMap((g) => g.items).map((item, at): [string, number] => [item.id, at])),
  );
  const on = gradually('rack', 1, () => place.size);
  /** Where its next thing is done. */
  const there = (item: RackItem): string =>
    jobHref(item.id, item.lead?.id, item.lead?.next.stratum);
  const put = $derived(items?.filter((i) => i.archived).length ?? 0);

  async function load() {
    try {
      items = await rack();
      problem = null;
    } catch (e) {
      problem = asProblem(e);
    }
  }

  /** Groups turn by the clock, and others write: a rack that hangs open is asked for again. */
  const AGAIN_MS = 60_000;
  $effect(() => {
    void load();
    const again = () => void (document.hidden ? undefined : load());
    const timer = setInterval(again, AGAIN_MS);
    document.addEventListener('visibilitychange', again);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', again);
    };
  });

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
  {#snippet doors()}
    <a class="shelf" href={shelfHref()}>Product sheets</a>
    <a class="shelf" href={systemHref()}>Systems</a>
    <a class="shelf" href={pricesHref}>Prices and store</a>
    <a class="shelf" href={instrumentHref()}>Instruments</a>
    <a class="shelf" href={practicesHref()}>Practices</a>
    <Button onclick={() => (dialog = 'import')}>Import</Button>
  {/snippet}
  {#snippet actions()}
    <Button kind="main" hint="n" onclick={() => (dialog = 'new')}>New job</Button>
  {/snippet}
</TopBar>

<main>
  <div class="head">
    <h1>The rack</h1>
    <p>
      {#if items && items.length > 0}
        {items.length - put}
        {items.length - put === 1 ? 'floor' : 'floors'}<span
          >, the clock that runs out first stands first</span
        >
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
  {#each groups as group (group.title)}
    {@const placed = group.items.filter((i) => (place.get(i.id) ?? 0) < on.shown)}
    <!-- a group comes when those above it are whole: nothing that was shown is pushed down -->
    {#if placed.length > 0}
      <section aria-label={group.title}>
        <h2>{group.title} <b>{group.items.length}</b> <span>{group.about}</span></h2>
        <ol class:cores={group.due === 'TODAY'}>
          {#each placed as item (item.id)}
            <li>
              {#if group.due === 'TODAY'}
                <RackCore {item} href={there(item)} />
              {:else}
                <RackRow {item} href={there(item)} />
              {/if}
            </li>
          {/each}
        </ol>
      </section>
    {/if}
  {/each}
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

  section {
    margin-block-end: 18px;
  }

  h2 {
    display: flex;
    align-items: baseline;
    gap: 10px;
    padding-block-end: 4px;
    border-block-end: 2px solid var(--ink);
    font-size: 18px;
  }

  h2 b {
    font: 600 18px var(--figures);
    color: var(--ink-soft);
  }

  h2 span {
    font: 400 14px var(--text);
    color: var(--ink-soft);
  }

  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(370px, 1fr));
    gap: 0 28px;
  }

  ol.cores {
    grid-template-columns: repeat(auto-fill, minmax(192px, 1fr));
    gap: 4px 12px;
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

    ol,
    ol.cores {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }

    h2 span,
    .head p span,
    kbd {
      display: none;
    }
  }
</style>
