<script lang="ts">
  import { ApiProblem } from '../../api/call';
  import { photoUrl } from '../../api/client';
  import type { JobDesk } from '../../app/job.svelte';

  interface Props {
    desk: JobDesk;
    entryKey: string;
    /** What the entry is, and where, for whoever cannot see the picture. */
    of: string;
    at: string;
  }

  let { desk, entryKey, of, at }: Props = $props();

  let problem = $state('');
  let busy = $state(false);
  const photos = $derived(desk.photos[entryKey] ?? []);

  async function add(event: Event & { currentTarget: HTMLInputElement }) {
    const input = event.currentTarget;
    const file = input.files?.[0];
    if (!file) {
      return;
    }
    busy = true;
    problem = '';
    try {
      await desk.photo(entryKey, file);
    } catch (e) {
      problem = e instanceof ApiProblem ? e.message : 'The picture could not be read.';
    } finally {
      busy = false;
      input.value = '';
    }
  }
</script>

<span class="strip">
  {#each photos as photo, i (photo)}
    <a href={photoUrl(photo)} target="_blank" rel="noopener"
      ><img src={photoUrl(photo)} alt="{of} at {at}, photo {i + 1}" loading="lazy" /></a
    >
  {/each}
  <label
    ><input
      type="file"
      accept="image/*"
      capture="environment"
      disabled={busy}
      onchange={add}
    />{busy ? 'Saving…' : 'Photo'}<span class="unseen"> at {at}</span></label
  >
  {#if problem}<span class="fault" role="alert">{problem}</span>{/if}
</span>

<style>
  .strip {
    display: inline-flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    margin-inline-start: 10px;
    vertical-align: middle;
  }

  img {
    display: block;
    block-size: 40px;
    inline-size: 52px;
    object-fit: cover;
  }

  label {
    position: relative;
    color: var(--chalk);
    font-size: 14px;
    padding: 8px 4px;
    cursor: pointer;
  }

  label:focus-within {
    outline: 3px solid var(--chalk);
  }

  input {
    position: absolute;
    inset: 0;
    opacity: 0;
    cursor: pointer;
  }

  .fault {
    color: var(--stop);
    font-size: 13px;
  }
</style>
