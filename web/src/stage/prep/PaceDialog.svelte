<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { paces, setPace } from '../../api/client';
  import type { PacesView, Units } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    units: Units;
    /** Works of the floor in hand, shown first. */
    first: string[];
    onclose: () => void;
  }

  let { units, first, onclose }: Props = $props();
  let view = $state.raw<PacesView | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let setting = $state('');
  let pace = $state('');

  const failed = (e: unknown) => (problem = asProblem(e));
  $effect(() => void paces(units).then((v) => (view = v), failed));

  const works = $derived(
    [...(view?.works ?? [])].sort(
      (a, b) => Number(first.includes(b.id)) - Number(first.includes(a.id)),
    ),
  );

  async function save(event: SubmitEvent) {
    event.preventDefault();
    problem = null;
    try {
      view = await setPace(setting, pace, units);
      setting = '';
    } catch (e) {
      failed(e);
    }
  }
</script>

<Dialog title="Paces of one person" {onclose}>
  <p class="soft">
    Hours logged with a step that is done are learned from: after {view?.enough ?? 3} floors the crew's
    own pace is used. Until then what is set here counts, else a start of ours.
  </p>
  <Trouble {problem} shown={['pace']} />
  <ul>
    {#each works as work (work.id)}
      <li>
        <b>{work.title}</b>
        {#if setting === work.id}
          <form onsubmit={save} novalidate>
            <FieldEntry
              field={work.field}
              {units}
              bind:value={pace}
              fault={problem?.faults.find((f) => f.field === 'pace')}
            />
            <Button kind="main" type="submit">Set</Button>
            <Button kind="quiet" onclick={() => (setting = '')}>Not now</Button>
          </form>
        {:else}
          <span class="figure">{work.pace.text}</span>
          <small>{work.pace.source?.sentence}</small>
          <button
            type="button"
            onclick={() => {
              setting = work.id;
              pace = work.typed;
              problem = null;
            }}>Set<span class="unseen"> the pace of {work.title}</span></button
          >
        {/if}
      </li>
    {/each}
  </ul>
</Dialog>

<style>
  li {
    display: grid;
    grid-template-columns: 1fr auto auto;
    gap: 2px 14px;
    align-items: center;
    padding-block: 6px;
    border-block-start: 1px solid var(--line);
  }

  form {
    grid-column: 1 / -1;
  }

  .figure {
    font: 600 18px var(--figures);
  }

  small {
    grid-column: 1 / 3;
    grid-row: 2;
  }

  button {
    grid-row: 1 / 3;
    grid-column: 3;
    min-block-size: var(--tap);
    border: 0;
    background: none;
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
  }

  small,
  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }
</style>
