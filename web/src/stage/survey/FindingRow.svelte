<script lang="ts">
  import type { Finding } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import Mark from '../../parts/Mark.svelte';
  import { when } from '../../parts/time';

  interface Props {
    desk: JobDesk;
    finding: Finding;
    timeZone: string;
  }

  let { desk, finding, timeZone }: Props = $props();
  const brief = $derived(
    finding.brief.startsWith('pH')
      ? finding.brief
      : finding.brief.charAt(0).toUpperCase() + finding.brief.slice(1),
  );
  const ready = $derived(finding.readyAt ? new Date(finding.readyAt) : null);
</script>

<li>
  <Mark mark={finding.verdict} />
  <div>
    <h3>{brief}</h3>
    <p class="numbers">
      <button
        type="button"
        title="Show the working"
        onclick={() => desk.open(finding.working, finding)}>{finding.measured}</button
      >
      <span>needed {finding.needed}</span>
    </p>
    <p>{finding.because}</p>
    {#if finding.remedy}<p class="remedy">{finding.remedy}</p>{/if}
    {#if ready && ready > appClock.now}<p class="remedy">
        Ready {when(ready, timeZone, appClock.now)}.
      </p>{/if}
    <p class="source">{finding.source.sentence}</p>
  </div>
</li>

<style>
  li {
    display: grid;
    grid-template-columns: 74px minmax(0, 1fr);
    gap: 8px;
    align-items: start;
    padding-block: 9px 11px;
    border-block-start: 1px solid var(--line);
  }

  h3 {
    font: 600 16px/1.3 var(--text);
  }

  .numbers {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: baseline;
    color: var(--ink-soft);
  }

  button {
    border: 0;
    padding: 0;
    background: none;
    color: var(--ink);
    font: 600 18px/1.3 var(--figures);
    border-block-end: 2px dotted var(--chalk);
    cursor: pointer;
  }

  p {
    line-height: 1.35;
  }

  .remedy {
    font-weight: 500;
  }

  .source {
    font-size: 13px;
    color: var(--ink-soft);
  }
</style>
