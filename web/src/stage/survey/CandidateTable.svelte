<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { candidates } from '../../api/client';
  import type { CandidateReport, JobHead, SurveyZone } from '../../api/types';
  import { jobHref } from '../../app/route.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    job: JobHead;
    zone: SurveyZone;
  }

  let { job, zone }: Props = $props();

  let told = $state.raw<readonly CandidateReport[]>([]);
  let problem = $state.raw<ApiProblem | null>(null);

  $effect(() => {
    // asked anew with every new answer of the job: whatever it says may change every one of them
    candidates({ jobId: job.id, zoneId: zone.id }).then(
      (t) => (told = t),
      (e: unknown) => (problem = asProblem(e)),
    );
  });

  const others = $derived(told.filter((c) => !c.meant));

  const list = (tests: readonly string[]) =>
    tests.length < 2
      ? tests.join('')
      : `${tests.slice(0, -1).join(', ')} and ${tests.at(-1) ?? ''}`;

  /** What more testing could make of it, where testing is what is missing. */
  const settles = (c: CandidateReport): string => {
    if (c.missing.length === 0) {
      return '';
    }
    const word = c.without.toLowerCase();
    return c.without === c.verdict
      ? `Still not taken: ${list(c.missing)}; what was found is ${word} as it is.`
      : `${list(c.missing)} would settle it: all well, it is ${word}.`;
  };
</script>

{#snippet row(c: CandidateReport)}
  <li>
    <Mark mark={c.verdict} />
    <div>
      <h3>{c.title}</h3>
      <p class="asks">{c.limits}. {c.note}</p>
    </div>
    <div>
      <p>{c.summary}</p>
      {#if settles(c)}<p class="settles">{settles(c)}</p>{/if}
    </div>
  </li>
{/snippet}

<section aria-labelledby="candidates-head">
  <h2 id="candidates-head">What could go on this floor</h2>
  <p><a href={jobHref(job.id, zone.id, 'choices')}>Weigh them by what is needed</a></p>
  <Trouble {problem} />
  <ul>
    {#each told.filter((c) => c.meant) as c (c.id)}{@render row(c)}{/each}
  </ul>
  {#if others.length > 0}
    <Fold title="Meant for other uses" count={others.length}>
      <ul>
        {#each others as c (c.id)}{@render row(c)}{/each}
      </ul>
    </Fold>
  {/if}
</section>

<style>
  section {
    margin-block-start: 24px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 8px;
  }

  h3 {
    font: 600 16px var(--text);
  }

  li {
    display: grid;
    grid-template-columns: 84px minmax(0, 2fr) minmax(0, 3fr);
    gap: 4px 16px;
    padding-block: 8px;
    border-block-start: 1px solid var(--line);
    align-items: baseline;
  }

  .asks {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .settles {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .settles::first-letter {
    text-transform: uppercase;
  }

  @media (max-width: 759px) {
    li {
      grid-template-columns: 84px minmax(0, 1fr);
    }

    li > div:last-child {
      grid-column: 2;
    }
  }
</style>
