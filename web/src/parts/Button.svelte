<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    kind?: 'main' | 'plain' | 'quiet';
    type?: 'button' | 'submit';
    disabled?: boolean;
    /** The key that does the same. */
    hint?: string;
    onclick?: () => void;
    children: Snippet;
  }

  let {
    kind = 'plain',
    type = 'button',
    disabled = false,
    hint,
    onclick,
    children,
  }: Props = $props();
</script>

<button {type} class={kind} {disabled} onclick={() => onclick?.()}>
  {@render children()}{#if hint}<kbd aria-hidden="true">{hint}</kbd>{/if}
</button>

<style>
  button {
    min-block-size: var(--tap);
    padding: 0 16px;
    border: 1px solid var(--chalk);
    border-radius: var(--radius);
    background: var(--paper);
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
    white-space: nowrap;
  }

  button:hover {
    background: var(--chalk-wash);
  }

  .main {
    background: var(--chalk);
    color: var(--paper);
  }

  .main:hover {
    background: var(--ink);
    border-color: var(--ink);
  }

  .quiet {
    border-color: transparent;
    background: none;
    padding: 0 10px;
  }

  button:disabled {
    border-color: var(--line);
    background: var(--ground);
    color: var(--ink-soft);
    cursor: default;
  }

  .quiet:disabled {
    border-color: transparent;
    background: none;
  }

  kbd {
    margin-inline-start: 10px;
    font: 500 15px var(--figures);
  }

  @media (max-width: 700px) {
    kbd {
      display: none;
    }
  }
</style>
