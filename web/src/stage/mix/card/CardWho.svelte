<script lang="ts">
  import type { Logging } from '../../../app/logging.svelte';
  import { person } from '../../../app/person.svelte';
  import WhyEntry from '../../../app/WhyEntry.svelte';
  import TextEntry from '../../../parts/TextEntry.svelte';

  interface Props {
    sending: Logging;
    /** Whether a reason is asked for before anything is sent; none is asked at all where it is left out. */
    asked?: boolean | undefined;
  }

  let { sending, asked }: Props = $props();
</script>

<div>
  {#if person.name === '' || sending.fault('by')}
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
  {/if}
  {#if asked !== undefined}<WhyEntry {sending} {asked} />{/if}
</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
  }
</style>
