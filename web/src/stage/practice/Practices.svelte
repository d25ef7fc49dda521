<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { editJob, head, practiceEffects, practices, setPractices } from '../../api/client';
  import type { JobHead, PracticeEffects, PracticeView } from '../../api/types';
  import TopBar from '../../app/TopBar.svelte';
  import { jobHref, practicesHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import SourceLine from '../../parts/SourceLine.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import EffectList from './EffectList.svelte';

  interface Props {
    /** Of which job; of the shop where it is empty. */
    jobId: string;
  }

  let { jobId }: Props = $props();

  let asked = $state.raw<PracticeView[]>([]);
  let job = $state.raw<JobHead | null>(null);
  /** A school's id by the question's; a question that is left out follows what is above it. */
  let chosen = $state<Record<string, string>>({});
  let saved = $state('');
  let effects = $state.raw<PracticeEffects | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  const sending = new FormState();

  const own = $derived(
    Object.fromEntries(Object.entries(chosen).filter(([, school]) => school !== '')),
  );
  const changed = $derived(JSON.stringify(own) !== saved);

  function take(practices: Record<string, string>) {
    chosen = { ...practices };
    saved = JSON.stringify(practices);
  }

  async function load() {
    try {
      const [questions, of] = await Promise.all([practices(), jobId ? head(jobId) : null]);
      asked = questions;
      job = of;
      take(of ? (of.facts.practices ?? {}) : shops(questions));
    } catch (e) {
      problem = asProblem(e);
    }
  }

  const shops = (questions: PracticeView[]): Record<string, string> =>
    Object.fromEntries(questions.filter((q) => q.shop).map((q) => [q.id, q.shop]));

  $effect(() => void load());

  // what would change is asked for once more with every answer
  $effect(() => {
    const answers = own;
    if (!changed) {
      effects = null;
      return;
    }
    let late = false;
    void practiceEffects(jobId, answers)
      .then((told) => (late ? undefined : (effects = told)))
      .catch((e: unknown) => (problem = asProblem(e)));
    return () => {
      late = true;
    };
  });

  /** The school that is followed where nothing is chosen here. */
  const above = (q: PracticeView) => (jobId && q.shop ? q.shop : q.usual);
  const label = (q: PracticeView, school: string) =>
    q.schools.find((s) => s.id === school)?.label ?? school;

  async function save() {
    const answers = own;
    const taken = await sending.send([answers, job?.version], async (key) => {
      if (job) {
        job = await editJob(job.id, key, job.version, { ...job.facts, practices: answers });
      } else {
        asked = await setPractices(key, answers);
      }
    });
    if (taken) {
      take(answers);
    }
  }
</script>

<TopBar>
  <b>{job ? `Practices of ${job.facts.name}` : 'Practices of the shop'}</b>
  {#snippet actions()}
    {#if job}
      <a href={jobHref(job.id)}>Back to the job</a>
      <a href={practicesHref()}>Those of the shop</a>
    {/if}
  {/snippet}
</TopBar>
<main>
  <section aria-label="Questions" class="asked">
    <h1>Where good installers differ</h1>
    <p>
      {job
        ? 'This job does as the shop does, unless it says otherwise here.'
        : 'Pick how your crew works; every job follows it that does not say otherwise.'} What a sheet
      in hand says, and the rules of the place, come first.
    </p>
    <Trouble {problem} />
    {#each asked as q (q.id)}
      <fieldset>
        <legend>{q.question}</legend>
        {#each q.schools as school (school.id)}
          {@const followed = (chosen[q.id] || above(q)) === school.id}
          <label class:followed>
            <input
              type="radio"
              name={q.id}
              checked={followed}
              onchange={() => (chosen[q.id] = school.id)}
            />
            <span>
              <b>{school.label}</b>
              {#if school.id === q.usual}<i>usual</i>{/if}
              {#if jobId && school.id === q.shop}<i>the shop</i>{/if}
              <small>{school.reason}</small>
            </span>
          </label>
        {/each}
        <p class="why">
          {q.why}
          <SourceLine source={q.source} />
          {#if chosen[q.id]}
            <Button kind="quiet" onclick={() => (chosen[q.id] = '')}
              >{jobId ? 'As the shop' : 'As usual'}: {label(q, above(q)).toLowerCase()}</Button
            >
          {/if}
        </p>
      </fieldset>
    {/each}
  </section>
  <aside aria-label="What it changes">
    <h2>What it changes</h2>
    {#if !changed}
      <p>Pick another answer to see what it does to {job ? 'this job' : 'the jobs on the rack'}.</p>
    {:else}
      <div class="acts">
        <Button kind="main" disabled={sending.busy} onclick={save}
          >{job ? 'Work this job so' : 'Work so from now on'}</Button
        >
        <Button kind="quiet" onclick={() => take(JSON.parse(saved) as Record<string, string>)}
          >Leave it as it was</Button
        >
      </div>
      <Trouble problem={sending.problem} />
      <EffectList {effects} single={job !== null} />
    {/if}
  </aside>
</main>

<style>
  main {
    display: grid;
    grid-template-columns: minmax(0, 7fr) minmax(300px, 5fr);
    gap: 0 36px;
    padding: 20px 28px 60px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
  }

  .asked > p {
    max-inline-size: 62ch;
    margin-block-end: 8px;
  }

  fieldset {
    padding: 10px 0 6px;
    border-block-start: 1px solid var(--line);
  }

  legend {
    float: inline-start;
    inline-size: 100%;
    font-weight: 600;
    font-size: 18px;
  }

  label {
    display: grid;
    grid-template-columns: 22px minmax(0, 1fr);
    gap: 10px;
    align-items: start;
    min-block-size: var(--tap);
    padding: 8px 10px 6px;
    border-inline-start: 4px solid transparent;
    cursor: pointer;
  }

  legend + label {
    clear: both;
  }

  label:hover {
    background: var(--chalk-wash);
  }

  .followed {
    border-color: var(--chalk);
    background: var(--paper);
  }

  .followed b {
    font-weight: 600;
  }

  b {
    font-weight: 500;
  }

  input {
    inline-size: 20px;
    block-size: 20px;
    margin-block-start: 2px;
  }

  i {
    margin-inline-start: 6px;
    padding: 0 6px;
    border: 1px solid var(--line-strong);
    border-radius: var(--radius);
    font-style: normal;
    font-size: 13px;
  }

  small {
    display: block;
    font-size: 14px;
    color: var(--ink-soft);
  }

  .why {
    padding-inline-start: 14px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  aside {
    position: sticky;
    inset-block-start: 12px;
    align-self: start;
    max-block-size: calc(100dvh - 24px);
    overflow-y: auto;
    padding: 16px 18px;
    background: var(--paper);
    border-block-start: 4px solid var(--ink);
  }

  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-block: 8px;
  }

  a {
    padding: 10px;
    color: var(--chalk);
    font-weight: 600;
    text-decoration: none;
  }

  a:hover {
    text-decoration: underline;
  }

  @media (max-width: 899px) {
    main {
      display: block;
      padding: 16px 12px 0;
    }

    aside {
      inset-block: auto 0;
      max-block-size: 46dvh;
      margin-inline: -12px;
    }
  }
</style>
