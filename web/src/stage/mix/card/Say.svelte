<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    wrong?: boolean;
    children: Snippet;
  }

  let { wrong = false, children }: Props = $props();
</script>

<p class:wrong>{@render children()}</p>

<style>
  p {
    max-inline-size: 34em;
    font-size: 26px;
    line-height: 1.25;
  }

  .wrong {
    color: var(--stop);
    font-weight: 600;
  }

  @media (max-width: 759px) {
    p {
      font-size: 20px;
    }
  }
</style>
