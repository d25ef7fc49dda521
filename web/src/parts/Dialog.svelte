<script lang="ts">
  import { type Snippet, untrack } from 'svelte';
  import { enterDialog } from './dialogs';

  interface Props {
    title: string;
    onclose: () => void;
    children: Snippet;
  }

  let { title, onclose, children }: Props = $props();
  const id = $props.id();

  /** Opens as a modal: the browser keeps the focus inside and gives it back. */
  function modal(node: HTMLDialogElement) {
    node.showModal();
    const leave = untrack(() => enterDialog(id, () => onclose()));
    return () => {
      node.close();
      leave();
    };
  }
</script>

<dialog {@attach modal} aria-labelledby="{id}-title" oncancel={onclose}>
  <header>
    <h2 id="{id}-title">{title}</h2>
    <button type="button" onclick={onclose}>Close</button>
  </header>
  {@render children()}
</dialog>

<style>
  dialog {
    inline-size: min(640px, 100vw - 24px);
    max-block-size: calc(100vh - 24px);
    padding: 0 24px 24px;
    border: 0;
    border-block-start: 6px solid var(--chalk);
    background: var(--paper);
    color: var(--ink);
    overflow: auto;
  }

  dialog::backdrop {
    background: rgb(28 31 31 / 55%);
  }

  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 16px;
    position: sticky;
    inset-block-start: 0;
    background: var(--paper);
    padding-block: 12px;
    z-index: 1;
  }

  h2 {
    font-size: 26px;
  }

  header button {
    min-block-size: var(--tap);
    border: 0;
    background: none;
    color: var(--chalk);
    font-weight: 600;
    cursor: pointer;
  }

  @media (max-width: 700px) {
    dialog {
      inline-size: 100vw;
      max-inline-size: 100vw;
      max-block-size: 100dvh;
      block-size: 100dvh;
      margin: 0;
      padding-inline: 16px;
    }
  }
</style>
