<script lang="ts">
  import Declined from './Declined.svelte';
  import { outbox } from './outbox.svelte';

  const declined = $derived(outbox.held.filter((e) => outbox.declined[e.key]));
  const waiting = $derived(outbox.held.length - declined.length);
</script>

{#if outbox.held.length > 0}
  <aside aria-label="Not sent yet">
    {#if waiting > 0}
      <p>
        <b>{waiting === 1 ? 'One entry waits' : `${waiting} entries wait`} on this device</b> for a
        signal:
        {outbox.held
          .filter((e) => !outbox.declined[e.key])
          .map((e) => e.words)
          .join('; ')}. {outbox.fleeting
          ? 'The device is full: leave this page open until it is gone.'
          : 'Nothing is lost; it goes by itself.'}
        <button type="button" onclick={() => outbox.send(true)}>Send now</button>
      </p>
    {/if}
    {#each declined as entry (entry.key)}
      {@const problem = outbox.declined[entry.key]}
      {#if problem}<Declined {entry} {problem} />{/if}
    {/each}
  </aside>
{/if}

<style>
  aside {
    position: sticky;
    inset-block-end: 0;
    z-index: 4;
    max-block-size: 60dvh;
    overflow-y: auto;
    padding: 8px 20px;
    border-block-start: 4px solid var(--hold);
    background: var(--paper);
  }

  button {
    min-block-size: var(--tap);
    padding-inline: 12px;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    text-decoration: underline;
    cursor: pointer;
  }
</style>
