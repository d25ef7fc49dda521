<script lang="ts">
  import { asProblem, type ApiProblem } from '../../api/call';
  import { pastCycle } from '../../api/client';
  import type { JobHead, ZoneReport, ServiceZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';

  interface Props {
    job: JobHead;
    zone: ServiceZone;
    number: number;
  }

  let { job, zone, number }: Props = $props();
  let past = $state.raw<ZoneReport | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);

  function open(event: Event) {
    if ((event.currentTarget as HTMLDetailsElement).open) {
      pastCycle({ jobId: job.id, zoneId: zone.id, number }).then(
        (r) => (past = r),
        (e: unknown) => (problem = asProblem(e)),
      );
    }
  }

  const at = (moment: string) => when(new Date(moment), job.facts.timeZone, appClock.now);
</script>

<details ontoggle={open}>
  <summary>How it was done</summary>
  <Trouble {problem} shown={[]} />
  {#if past}
    <p>
      <b>{past.prep.title}</b>{past.prep.because ? `: ${past.prep.because}` : ''}
    </p>
    <ol>
      {#each past.prep.steps as step (`${step.id} ${step.round}`)}
        <li>
          <span>{step.title}{step.round > 1 ? ', again' : ''}</span>
          <span class="soft">
            {#if step.gate?.by}{step.gate.title}: {step.gate.found}, {step.gate.by.name}, {at(
                step.gate.by.at,
              )}{:else if step.done}{step.done.name}, {at(step.done.at)}{/if}
          </span>
          <Mark mark={step.mark} word={step.word} />
        </li>
      {/each}
    </ol>
    {#each past.conduct as stood (stood.key)}
      {#each stood.findings as finding (finding.rule)}
        <p class="stood">
          {at(stood.at)}: {finding.brief} ({finding.measured}; asked: {finding.needed}){stood.why
            ? `. ${stood.by}: ${stood.why}`
            : ''}
        </p>
      {/each}
    {/each}
  {/if}
</details>

<style>
  summary {
    min-block-size: 34px;
    color: var(--chalk);
    cursor: pointer;
  }

  ol {
    list-style: none;
    padding: 0;
    margin-block: 6px;
  }

  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr) 110px;
    gap: 12px;
    padding-block: 4px;
    border-block-start: 1px solid var(--line);
    font-size: 15px;
  }

  .soft {
    color: var(--ink-soft);
  }

  .stood {
    padding-inline-start: 10px;
    border-inline-start: 4px solid var(--hold);
    font-size: 14px;
  }

  @media (max-width: 759px) {
    li {
      grid-template-columns: 1fr auto;
    }

    .soft {
      grid-column: 1 / -1;
      grid-row: 2;
    }
  }
</style>
