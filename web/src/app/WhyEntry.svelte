<script lang="ts">
  import TextEntry from '../parts/TextEntry.svelte';
  import type { Logging } from './logging.svelte';

  interface Props {
    sending: Logging;
    /** Asked for before anything is sent. */
    asked?: boolean;
  }

  let { sending, asked = false }: Props = $props();
  const fault = $derived(sending.fault('note'));
</script>

{#if asked || fault || sending.why !== ''}
  <TextEntry
    label="Why it was done all the same"
    hint="it is logged with this reason, and what stood against it stays readable"
    {fault}
    bind:value={sending.why}
  />
{/if}
