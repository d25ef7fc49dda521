<script lang="ts">
  import type { Fault } from '../api/call';
  import Entry from './Entry.svelte';

  interface Props {
    label: string;
    hint?: string;
    fault?: Fault | undefined;
    choices: readonly { id: string; label: string }[];
    value: string;
    disabled?: boolean;
  }

  let { label, hint = '', fault, choices, value = $bindable(), disabled = false }: Props = $props();
</script>

<Entry {label} {hint} {fault}>
  {#snippet children(a)}
    <select
      id={a.id}
      bind:value
      {disabled}
      aria-describedby={a.describedby}
      aria-invalid={a.invalid}
    >
      {#each choices as choice (choice.id)}
        <option value={choice.id}>{choice.label}</option>
      {/each}
    </select>
  {/snippet}
</Entry>
