<script lang="ts">
  import Dialog from '../parts/Dialog.svelte';

  let { onclose }: { onclose: () => void } = $props();

  const keys: [string, string][] = [
    ['↑ ↓', 'climb the core, one stratum up or down'],
    ['n', 'new reading'],
    ['w', 'show or put away the working'],
    ['p', 'the plan: measure'],
    ['b', 'buy: take-off, order, what came'],
    ['Ctrl Z', 'undo on the plan; with Shift, redo'],
    ['l', 'logbook'],
    ['/', 'find a job on the rack'],
    ['Esc', 'close what is open'],
    ['?', 'these keys'],
  ];
</script>

<Dialog title="Keys" {onclose}>
  <dl>
    {#each keys as [key, does] (key)}
      <dt>{key}</dt>
      <dd>{does}</dd>
    {/each}
  </dl>
</Dialog>

<style>
  dl {
    display: grid;
    grid-template-columns: 80px 1fr;
    gap: 10px;
  }

  dt {
    font: 600 20px var(--figures);
  }
</style>
