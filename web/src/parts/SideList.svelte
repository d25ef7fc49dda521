<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Item {
    href: string;
    title: string;
    note: string;
    current: boolean;
    /** The note is a warning. */
    warns?: boolean;
  }

  interface Props {
    label: string;
    items: readonly Item[];
    children: Snippet;
  }

  let { label, items, children }: Props = $props();
</script>

<div class="screen">
  <nav aria-label={label}>
    <ul>
      {#each items as item (item.href)}
        <li>
          <a href={item.href} aria-current={item.current ? 'page' : undefined}>
            <b>{item.title}</b><span class:warns={item.warns}>{item.note}</span>
          </a>
        </li>
      {/each}
    </ul>
  </nav>
  <main>{@render children()}</main>
</div>

<style>
  .screen {
    display: grid;
    grid-template-columns: 262px minmax(0, 1fr);
    min-block-size: calc(100vh - 57px);
  }

  nav {
    padding: 20px 0;
    border-inline-end: 1px solid var(--line);
  }

  a {
    display: grid;
    align-content: center;
    min-block-size: 58px;
    padding: 0 20px;
    border-inline-start: 4px solid transparent;
    color: inherit;
    text-decoration: none;
  }

  a:hover {
    background: var(--chalk-wash);
  }

  a[aria-current] {
    border-color: var(--chalk);
    background: var(--paper);
  }

  a span {
    font-size: 13px;
    color: var(--ink-soft);
  }

  a span.warns {
    color: var(--hold);
    font-weight: 600;
  }

  main {
    padding: 20px 28px 60px;
    max-inline-size: 1020px;
    min-inline-size: 0;
  }

  @media (max-width: 759px) {
    .screen {
      display: block;
    }

    nav {
      padding: 0;
      border: 0;
      border-block-end: 1px solid var(--line);
    }

    ul {
      display: flex;
      overflow-x: auto;
    }

    a {
      white-space: nowrap;
      border-inline-start: 0;
      border-block-end: 4px solid transparent;
      padding: 0 16px;
    }

    main {
      padding: 16px 12px 60px;
    }
  }
</style>
