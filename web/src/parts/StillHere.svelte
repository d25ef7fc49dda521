<script lang="ts" generics="T">
  import type { Draft } from './draft.svelte';

  interface Props {
    draft: Draft<T>;
  }

  let { draft }: Props = $props();
</script>

{#if draft.again}
  <p>
    What you typed before is still here.
    <button type="button" onclick={() => draft.startAfresh()}>Start afresh</button>
  </p>
{/if}

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 12px;
    align-items: center;
    padding-inline: 12px;
    margin-block-end: 8px;
    background: var(--chalk-wash);
    font-size: 14px;
  }

  button {
    min-block-size: var(--tap);
    border: 0;
    background: none;
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
  }
</style>
