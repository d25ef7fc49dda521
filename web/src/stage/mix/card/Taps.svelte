<script lang="ts">
  import type { Snippet } from 'svelte';

  let { children }: { children: Snippet } = $props();
</script>

<div class="taps">{@render children()}</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
    margin-block-start: 8px;
  }

  @media (max-width: 759px) {
    div {
      inline-size: 100%;
    }
  }
</style>
