<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import type { Fault } from '../api/call';
  import Entry from './Entry.svelte';

  interface Props extends Pick<
    HTMLInputAttributes,
    'autocomplete' | 'autofocus' | 'inputmode' | 'list' | 'type'
  > {
    label: string;
    hint?: string;
    fault?: Fault | undefined;
    value: string;
    /** How many lines show; one where it is left out. */
    rows?: number;
  }

  let { label, hint = '', fault, value = $bindable(), rows, ...input }: Props = $props();
</script>

<Entry {label} {hint} {fault}>
  {#snippet children(a)}
    {#if rows}
      <textarea
        id={a.id}
        {rows}
        bind:value
        aria-describedby={a.describedby}
        aria-invalid={a.invalid}></textarea>
    {:else}
      <input
        {...input}
        id={a.id}
        bind:value
        aria-describedby={a.describedby}
        aria-invalid={a.invalid}
      />
    {/if}
  {/snippet}
</Entry>
