<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    /** How many there are inside; nothing is shown for none. */
    count?: number;
    about?: string;
    open?: boolean;
    children: Snippet;
  }

  let { title, count = 0, about = '', open = false, children }: Props = $props();
  // it is the reader's from then on: nothing that changes in it shuts it again
  // svelte-ignore state_referenced_locally
  let opened = $state(open);
  // what nobody opened yet is not drawn, and asks the server for nothing
  // svelte-ignore state_referenced_locally
  let drawn = $state(open);
</script>

<details bind:open={opened} ontoggle={(e) => (drawn ||= e.currentTarget.open)}>
  <summary
    ><b>{title}</b>{#if count > 0}<span>{count}</span>{/if}</summary
  >
  {#if about}<p>{about}</p>{/if}
  {#if drawn}{@render children()}{/if}
</details>

<style>
  details {
    border-block-start: 1px solid var(--line);
    padding-block-end: 8px;
  }

  summary {
    display: flex;
    align-items: center;
    gap: 10px;
    min-block-size: var(--tap);
    cursor: pointer;
  }

  summary::before {
    content: '+';
    inline-size: 16px;
    font: 600 20px var(--figures);
    color: var(--chalk);
  }

  details[open] > summary::before {
    content: '−';
  }

  span,
  p {
    color: var(--ink-soft);
  }

  p {
    font-size: 14px;
    margin-block-end: 8px;
  }
</style>
