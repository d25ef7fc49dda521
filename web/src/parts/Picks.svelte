<script lang="ts">
  interface Props {
    /** What is picked among. */
    label: string;
    choices: readonly { id: string; label: string }[];
    picked: string;
    onpick: (id: string) => void;
  }

  let { label, choices, picked, onpick }: Props = $props();
</script>

<div role="group" aria-label={label}>
  {#each choices as choice (choice.id)}
    <button type="button" aria-pressed={choice.id === picked} onclick={() => onpick(choice.id)}
      >{choice.label}</button
    >
  {/each}
</div>

<style>
  div {
    display: flex;
    flex-wrap: wrap;
    margin-block-end: 10px;
  }

  button {
    min-block-size: var(--tap);
    padding: 0 12px;
    border: 0;
    border-block-end: 3px solid transparent;
    background: none;
    font-weight: 600;
    cursor: pointer;
  }

  button[aria-pressed='true'] {
    border-color: var(--chalk);
  }
</style>
