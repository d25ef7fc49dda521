<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    main?: boolean;
    type?: 'button' | 'submit';
    disabled?: boolean;
    onclick?: () => void;
    children: Snippet;
  }

  let { main = false, type = 'button', disabled = false, onclick, children }: Props = $props();
</script>

<button class:main {type} {disabled} {onclick}>{@render children()}</button>

<style>
  button {
    min-block-size: 84px;
    min-inline-size: 220px;
    padding: 0 30px;
    border: 2px solid var(--ink);
    border-radius: var(--radius);
    background: var(--paper);
    color: var(--ink);
    font: 600 26px var(--text);
    cursor: pointer;
  }

  .main {
    border-color: var(--chalk);
    background: var(--chalk);
    color: #fff;
  }

  @media (max-width: 759px) {
    button {
      inline-size: 100%;
    }
  }
</style>
