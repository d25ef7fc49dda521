<script lang="ts">
  import type { Snippet } from 'svelte';
  import { rackHref } from './route.svelte';

  interface Props {
    children?: Snippet;
    actions?: Snippet;
  }

  let { children, actions }: Props = $props();
</script>

<header>
  <a class="name" href={rackHref}>OPEN SLAB</a>
  <div class="where">{@render children?.()}</div>
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

  .actions {
    display: flex;
    gap: 8px;
    align-items: center;
  }

  @media (max-width: 700px) {
    header {
      padding: 2px 12px;
      gap: 10px;
      flex-wrap: wrap;
    }

    .actions {
      flex-wrap: wrap;
    }

    .name {
      align-self: start;
      font-size: 17px;
    }
  }
</style>
