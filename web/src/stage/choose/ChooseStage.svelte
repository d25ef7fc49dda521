<script lang="ts">
  import type { ChoiceZone, JobHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { go, jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import { FormState } from '../../parts/form.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import ChoiceRow from './ChoiceRow.svelte';
  import NeedsForm from './NeedsForm.svelte';
  import SideBySide from './SideBySide.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ChoiceZone;
    /** The systems that stand side by side, parted by commas. */
    section: string;
  }

  /** More do not fit on one screen. */
  const MOST = 3;

  let { desk, job, zone, section }: Props = $props();
  const sending = new FormState();
  let beside = $state.raw<readonly string[]>([]);
  let asking = $state(false);

  const report = $derived(zone.report);
  const stated = $derived(Object.keys(zone.said).length > 0);
  const shown = $derived(section.split(',').filter((id) => id !== ''));
  const columns = $derived(
    shown.flatMap((id) => [...report.offered, ...report.refused].filter((c) => c.id === id)),
  );

  const put = (id: string) =>
    (beside = beside.includes(id) ? beside.filter((b) => b !== id) : [...beside, id]);

  async function choose(id: string) {
    if (await sending.send([id, job.version], (key) => desk.build(zone.id, key, { system: id }))) {
      go(jobHref(job.id, zone.id, 'build-up'));
    }
  }
</script>

{#if columns.length > 0}
  <SideBySide
    job={job.facts.name}
    zone={report.name}
    choices={columns}
    replace={report.replace}
    back={jobHref(job.id, zone.id, 'choices')}
  />
{:else}
  <header>
    <h1>Which system</h1>
    <a href={jobHref(job.id, zone.id, 'build-up')}>What goes on</a>
  </header>

  <section aria-labelledby="needs-head">
    <h2 id="needs-head">What is needed</h2>
    {#if report.needs.length > 0}
      <ul class="needs">
        {#each report.needs as need (need.id)}
          <li>
            {need.title}{need.words === 'Yes' ? '' : `: ${need.words.toLowerCase()}`}
            {#if need.why}<small>from its use: {need.why.toLowerCase()}</small>{/if}
          </li>
        {/each}
      </ul>
    {:else}
      <p class="soft">
        Nothing yet. Ask whoever lives with the floor; until then the cheapest that fits it stands
        first.
      </p>
    {/if}
    {#if asking}
      <NeedsForm {desk} {job} {zone} onclose={() => (asking = false)} />
    {:else}
      <Button kind={stated ? 'plain' : 'main'} onclick={() => (asking = true)}
        >{stated ? 'Change what is needed' : 'Say what is needed'}</Button
      >
    {/if}
  </section>

  <section aria-labelledby="offered-head">
    <h2 id="offered-head">In this order</h2>
    <p class="soft">
      What is meant for the use first, then the least against it, then what the floor says, then the
      least money, then the shortest closing.
    </p>
    {#if beside.length > 0}
      <div class="bar">
        <Button
          kind="main"
          onclick={() => go(jobHref(job.id, zone.id, 'choices', beside.join(',')))}
          >Side by side, for the client ({beside.length})</Button
        >
        <Button kind="quiet" onclick={() => (beside = [])}>None of them</Button>
      </div>
    {/if}
    {#if zone.begun}
      <p class="soft">
        Something is on already: another system begins with the floor's next cycle.
      </p>
    {/if}
    <Trouble problem={sending.problem} />
    <ol>
      {#each report.offered as choice, at (choice.id)}
        <ChoiceRow
          {choice}
          place={at + 1}
          made={report.strata[0]?.made}
          same={at > 0 && report.offered[at - 1]?.summary === choice.summary}
          asked={report.needs.length}
          chosen={choice.id === zone.chosen}
          picked={beside.includes(choice.id)}
          full={beside.length >= MOST}
          busy={sending.busy || zone.begun}
          onpick={() => put(choice.id)}
          onchoose={() => void choose(choice.id)}
        />
      {:else}
        <li class="soft">Nothing that is known may go on this floor as it is needed.</li>
      {/each}
      <li class="replace">
        <b>Take it up and lay new</b>
        <span
          >{report.replace.words}{#if report.replace.money}
            About <FigureButton figure={report.replace.money} />
            {report.replace.rate}{/if}</span
        >
      </li>
    </ol>
  </section>

  {#if report.refused.length > 0}
    <Fold title="Not on this floor" count={report.refused.length}>
      <ul class="refused">
        {#each report.refused as choice (choice.id)}
          <li>
            <b>{choice.title}</b>
            <span>
              {#each choice.reasons.filter((r) => r.stance === 'REFUSES') as reason, at (at)}
                <span>{reason.words} <small>{reason.rule}; {reason.source.sentence}</small></span>
              {/each}
            </span>
          </li>
        {/each}
      </ul>
    </Fold>
  {/if}
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 16px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
    margin-block: 18px 6px;
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
    margin-block-end: 8px;
  }

  small {
    display: block;
    color: var(--ink-soft);
    font-size: 13px;
  }

  .needs {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 22px;
    margin-block-end: 12px;
    font-weight: 600;
  }

  .needs small {
    font-weight: 400;
  }

  .replace,
  .refused li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 2fr);
    gap: 4px 16px;
    padding-block: 10px;
    border-block-start: 1px solid var(--line);
  }

  .refused span span {
    display: block;
  }

  .bar {
    position: sticky;
    inset-block-start: 0;
    z-index: 1;
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding-block: 10px;
    background: var(--ground);
  }

  @media (max-width: 759px) {
    .replace,
    .refused li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
