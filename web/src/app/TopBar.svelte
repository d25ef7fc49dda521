<script lang="ts">
  import type { Snippet } from 'svelte';
  import { rackHref } from './route.svelte';

  interface Props {
    children?: Snippet;
    /** Links to elsewhere: beside the name, on a phone behind one door. */
    doors?: Snippet;
    actions?: Snippet;
  }

  let { children, doors, actions }: Props = $props();
  let open = $state(false);
</script>

<svelte:window onhashchange={() => (open = false)} />

<header>
  {#if doors}
    <button
      type="button"
      class="door"
      aria-expanded={open}
      aria-label="Menu"
      onclick={() => (open = !open)}
    >
      <svg viewBox="0 0 24 24" aria-hidden="true"><path d="M3 6h18M3 12h18M3 18h18" /></svg>
    </button>
  {/if}
  <a class="name" href={rackHref}>OPEN SLAB</a>
  <div class="where">{@render children?.()}</div>
  {#if doors}<nav class:open aria-label="Elsewhere">{@render doors()}</nav>{/if}
  <div class="actions">{@render actions?.()}</div>
</header>

<style>
  header {
    display: flex;
    align-items: center;
    gap: 20px;
    min-block-size: 56px;
    padding: 4px 20px;
    border-block-end: 1px solid var(--line);
  }

  .name {
    font: 600 21px var(--figures);
    letter-spacing: 0.06em;
    color: var(--ink);
    text-decoration: none;
    padding-block: 10px;
    white-space: nowrap;
  }

  .where {
    flex: 1;
    min-inline-size: 0;
  }

  .actions,
  nav {
    display: flex;
    gap: 8px;
    align-items: center;
  }

  .door {
    display: none;
    min-block-size: 48px;
    min-inline-size: 48px;
    border: 0;
    background: none;
    cursor: pointer;
  }

  .door svg {
    display: block;
    inline-size: 24px;
    margin-inline: auto;
  }

  .door path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.5;
  }

  @media (max-width: 700px) {
    header {
      position: relative;
      padding: 2px 12px 2px 0;
      gap: 4px 10px;
    }

    header:not(:has(.door)) {
      flex-wrap: wrap;
      padding-inline-start: 12px;
    }

    .door {
      display: block;
    }

    .name {
      font-size: 17px;
    }

    nav {
      display: none;
      position: absolute;
      inset-block-start: 100%;
      inset-inline: 0;
      z-index: 4;
      background: var(--paper);
      border-block-end: 4px solid var(--ink);
    }

    nav.open {
      display: grid;
      gap: 0;
      justify-items: start;
      padding: 4px 12px 8px;
    }
  }
</style>
