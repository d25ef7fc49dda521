<script lang="ts">
  import { documentUrl } from '../api/client';
  import type { DocumentForm, DocumentView } from '../api/types';
  import Button from './Button.svelte';
  import FilePick from './FilePick.svelte';
  import TextEntry from './TextEntry.svelte';
  import Trouble from './Trouble.svelte';
  import { FormState } from './form.svelte';
  import { paper } from './picture';
  import { longDate } from './time';

  interface Props {
    documents: readonly DocumentView[];
    /** What might be kept here: "its data sheet". */
    hint: string;
    timeZone: string;
    keep: (key: string, name: string, file: Blob) => Promise<unknown>;
    put: (id: string, key: string, form: DocumentForm) => Promise<unknown>;
  }

  let { documents, hint, timeZone, keep, put }: Props = $props();

  const sending = new FormState();
  let renaming = $state('');
  let name = $state('');
  let away = $state(false);
  const shown = $derived(documents.filter((d) => !d.putAway || away));
  const aside = $derived(documents.filter((d) => d.putAway).length);

  const KINDS = new Map([
    ['PDF', 'PDF'],
    ['JPEG', 'picture'],
    ['PNG', 'picture'],
  ]);
  const size = (bytes: number) =>
    bytes < 1_000_000
      ? `${Math.max(1, Math.round(bytes / 1000))} kB`
      : `${(bytes / 1e6).toFixed(1)} MB`;

  const take = (file: File) =>
    sending.send([file.name, file.size, file.lastModified], async (key) =>
      keep(key, file.name, await paper(file)),
    );

  const save = (d: DocumentView, form: DocumentForm) =>
    sending.send([d.id, form], (key) => put(d.id, key, form));

  async function rename(event: SubmitEvent, d: DocumentView) {
    event.preventDefault();
    if (await save(d, { name, putAway: d.putAway })) {
      renaming = '';
    }
  }

  function begin(d: DocumentView) {
    renaming = d.id;
    name = d.name;
  }
</script>

<FilePick
  label={sending.busy ? 'Saving…' : 'Keep a document'}
  accept="application/pdf,image/*"
  {hint}
  disabled={sending.busy}
  onpick={(file) => void take(file)}
/>
<Trouble problem={sending.problem} shown={renaming ? ['name'] : []} />
{#if shown.length > 0}
  <ul>
    {#each shown as d (d.id)}
      <li class:away={d.putAway}>
        {#if renaming === d.id}
          <form onsubmit={(e) => void rename(e, d)} novalidate>
            <TextEntry label="Call it" fault={sending.fault('name')} bind:value={name} autofocus />
            <Button kind="main" type="submit" disabled={sending.busy}>Save</Button>
            <Button kind="quiet" onclick={() => (renaming = '')}>Leave it</Button>
          </form>
        {:else}
          <a href={documentUrl(d.id)} target="_blank" rel="noopener">{d.name}</a>
          <span>{KINDS.get(d.kind)}, {size(d.bytes)}, {longDate(new Date(d.at), timeZone)}</span>
          <Button kind="quiet" onclick={() => begin(d)}
            >Rename<span class="unseen"> {d.name}</span></Button
          >
          <Button
            kind="quiet"
            disabled={sending.busy}
            onclick={() => void save(d, { name: d.name, putAway: !d.putAway })}
            >{d.putAway ? 'Take out again' : 'Put away'}<span class="unseen">
              {d.name}</span
            ></Button
          >
        {/if}
      </li>
    {/each}
  </ul>
{/if}
{#if aside > 0}
  <Button kind="quiet" onclick={() => (away = !away)}
    >{away ? 'Hide what was put away' : `${aside} put away`}</Button
  >
{/if}

<style>
  ul {
    margin-block-start: 8px;
  }

  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0 14px;
    min-block-size: var(--tap);
    border-block-start: 1px solid var(--line);
  }

  a {
    display: inline-flex;
    align-items: center;
    min-block-size: var(--tap);
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  li > span {
    flex: 1;
    min-inline-size: 22ch;
    color: var(--ink-soft);
    font-size: 14px;
  }

  .away a {
    color: var(--ink-soft);
    text-decoration: line-through;
  }

  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 12px;
    padding-block: 8px;
  }
</style>
