<script lang="ts">
  import type { ApiProblem } from '../api/call';

  interface Props {
    problem: ApiProblem | null;
    /** Faults that stand beside their field already. */
    shown?: readonly string[];
  }

  let { problem, shown = [] }: Props = $props();
  const elsewhere = $derived(problem?.faults.filter((f) => !shown.includes(f.field)) ?? []);
</script>

{#if problem}
  <div class="trouble" role="alert">
    {#if problem.changes.length > 0}
      <p>
        <strong>Somebody else saved first.</strong> Nothing of yours was lost: look, then save again.
      </p>
      <ul>
        {#each problem.changes as change, i (i)}
          <li>{change.field}: {change.was || 'nothing'} is now {change.is || 'gone'}</li>
        {/each}
      </ul>
    {:else if problem.faults.length > 0}
      <p>
        <strong>Not saved.</strong>
        {problem.faults.length === 1 ? 'One entry needs' : `${problem.faults.length} entries need`} another
        look.
      </p>
      {#if elsewhere.length > 0}
        <ul>
          {#each elsewhere as fault (fault.field)}
            <li><b>{fault.field}</b>: {fault.accepted}; got {fault.value}</li>
          {/each}
        </ul>
      {/if}
    {:else}
      <p><strong>Not saved.</strong> {problem.message} {problem.remedy}</p>
    {/if}
  </div>
{/if}

<style>
  .trouble {
    padding: 10px 14px;
    border-inline-start: 6px solid var(--stop);
    background: var(--stop-wash);
    margin-block: 8px 16px;
  }

  ul {
    margin-block-start: 6px;
  }
</style>
