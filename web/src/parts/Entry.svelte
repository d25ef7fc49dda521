<script lang="ts">
  import type { Fault } from '../api/call';
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    /** What to write, or in which unit. */
    hint?: string;
    fault?: Fault | undefined;
    children: Snippet<[{ id: string; describedby: string; invalid: boolean }]>;
  }

  let { label, hint = '', fault, children }: Props = $props();
  const id = $props.id();
</script>

<div class="entry">
  <label for={id}>{label}</label>
  {@render children({ id, describedby: `${id}-about`, invalid: fault !== undefined })}
  <p id="{id}-about" class:fault>{fault ? `Accepted: ${fault.accepted}.` : hint}</p>
</div>

<style>
  .entry {
    display: grid;
    gap: 2px;
    align-content: start;
    min-inline-size: 0;
  }

  label {
    font-weight: 500;
  }

  .entry :global(input),
  .entry :global(select),
  .entry :global(textarea) {
    inline-size: 100%;
  }

  p {
    min-block-size: 18px;
    font-size: 13px;
    color: var(--ink-soft);
  }

  .fault {
    color: var(--stop);
    font-weight: 500;
  }
</style>
