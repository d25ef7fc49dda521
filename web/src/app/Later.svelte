<script lang="ts" generics="P extends Record<string, unknown>">
  import type { Component } from 'svelte';

  interface Props {
    /** Fetches the screen: what is seldom looked at is not part of the first load. */
    screen: () => Promise<{ default: Component<P> }>;
    /** What it is given. */
    given: P;
  }

  let { screen, given }: Props = $props();
</script>

{#await screen()}
  <p class="unseen" role="status">Fetching…</p>
{:then module}
  <module.default {...given} />
{:catch}
  <p role="alert">
    This screen could not be fetched. Nothing was lost: reload once there is a connection.
  </p>
{/await}

<style>
  p[role='alert'] {
    padding: 20px;
  }
</style>
