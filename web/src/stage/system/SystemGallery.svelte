<script lang="ts">
  import type { ListedSystem, SystemFieldsView } from '../../api/types';
  import { systemHref } from '../../app/route.svelte';
  import CoreDrawing from '../../core-sample/CoreDrawing.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import { core, fits } from './gallery';

  interface Props {
    listed: readonly ListedSystem[];
    fields: SystemFieldsView;
  }

  let { listed, fields }: Props = $props();
  let sought = $state({ substrate: '', use: '', tone: '' });

  const any = (choices: readonly { id: string; label: string }[]) => [
    { id: '', label: 'any' },
    ...choices,
  ];
  const found = $derived(listed.filter((s) => fits(s, sought)));
</script>

<div class="sought">
  <ChoiceEntry label="On" choices={any(fields.substrates)} bind:value={sought.substrate} />
  <ChoiceEntry label="Used as" choices={any(fields.uses)} bind:value={sought.use} />
  <ChoiceEntry label="Looks" choices={any(fields.tones)} bind:value={sought.tone} />
</div>
<ul aria-label="Systems that fit">
  {#each found as system (system.form.id)}
    <li>
      <a href={systemHref(system.form.id)}>
        <CoreDrawing strata={core(system)} name={system.form.id} width={54} height={120} />
        <span>
          <b>{system.form.title}</b>
          <small>{system.form.note}</small>
        </span>
      </a>
    </li>
  {:else}
    <li class="none">
      Nothing here is for all of that. Ask for less, or make one of your own of the nearest.
    </li>
  {/each}
</ul>

<style>
  .sought {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 220px));
    gap: 12px;
    margin-block: 14px 18px;
  }

  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
    gap: 6px 22px;
  }

  a {
    display: grid;
    grid-template-columns: 58px 1fr;
    gap: 14px;
    padding: 8px 6px;
    border-block-start: 1px solid var(--line);
    block-size: 100%;
    color: inherit;
    text-decoration: none;
  }

  a:hover {
    background: var(--chalk-wash);
  }

  b {
    display: block;
    font-size: 16px;
    line-height: 1.2;
    margin-block-end: 4px;
  }

  small {
    color: var(--ink-soft);
    font-size: 13px;
    line-height: 1.3;
  }

  .none {
    grid-column: 1 / -1;
    color: var(--ink-soft);
  }
</style>
