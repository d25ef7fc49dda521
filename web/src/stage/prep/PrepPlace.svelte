<script lang="ts">
  import type { JobView, ZoneView } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import SourceLine from '../../parts/SourceLine.svelte';
  import GateForm from './GateForm.svelte';
  import WashDesk from './WashDesk.svelte';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
  }

  let { desk, job, zone }: Props = $props();
  const prep = $derived(zone.report.prep);
  /** Tile and vinyl have no profile to be opened. */
  const opens = $derived(prep.method === '' || prep.steps.some((s) => s.gate?.id === 'profile'));
  const here = $derived(prep.refused.filter((r) => !r.elsewhere));
  const elsewhere = $derived(prep.refused.filter((r) => r.elsewhere));
</script>

<header>
  <h1>Preparation</h1>
  <Mark mark={prep.mark} />
</header>
<div class="choice">
  <p class="method">{prep.title}</p>
  <div>
    <p>{prep.because}</p>
    {#if opens}
      <p class="soft">
        Profile asked for: <b>{prep.need}</b>. {prep.needSource.sentence} By film thickness alone the
        published table says {prep.byThickness}.
      </p>
    {/if}
  </div>
</div>

<div class="columns">
  <ol>
    {#each prep.steps as step, i (step.title)}
      <li>
        <span class="n">{i + 1}</span>
        <div>
          <h2>{step.title}</h2>
          <p>{step.does}</p>
          <p class="soft">Why: {step.why}</p>
          {#if step.caution}<p class="caution"><b>Caution.</b> {step.caution}</p>{/if}
          {#if step.gate}<GateForm {desk} {job} {zone} gate={step.gate} />{/if}
        </div>
      </li>
    {/each}
    <li>
      <span class="n"></span>
      <Fold title="Mix a wash" about="Any ratio into any vessel, and what must never meet.">
        <WashDesk {job} {zone} />
      </Fold>
    </li>
  </ol>
  <section>
    <h2>Why not the others</h2>
    {#each here as refused (refused.method)}
      <h3>{refused.title}</h3>
      <ul>
        {#each refused.reasons as reason (reason)}<li>{reason}</li>{/each}
      </ul>
    {/each}
    {#if elsewhere.length > 0}
      <p class="soft">
        For other floors: {elsewhere.map((r) => r.title.toLowerCase()).join(', ')}.
      </p>
    {/if}
    <SourceLine
      source={{
        kind: 'COMMON_PRACTICE',
        sentence: 'Grind or etch, never both for one coat: common practice, no source.',
      }}
    />
    <p class="soft">
      Cautions here are the usual ones. Local rules, the sheet in hand and licensed people decide.
    </p>
  </section>
</div>

<style>
  header {
    display: flex;
    align-items: baseline;
    gap: 16px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font: 600 17px/1.3 var(--text);
  }

  h3 {
    font: 600 15px/1.3 var(--text);
    margin-block-start: 10px;
  }

  .choice {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 24px;
    align-items: center;
    padding-block: 10px 14px;
    margin-block-end: 14px;
    border-block-end: 4px solid var(--ink);
  }

  .method {
    font: 600 40px/1 var(--figures);
    text-transform: uppercase;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 250px;
    gap: 32px;
  }

  ol > li {
    display: grid;
    grid-template-columns: 34px minmax(0, 1fr);
    padding-block: 10px 12px;
    border-block-start: 1px solid var(--line);
  }

  .n {
    font: 600 26px/1 var(--figures);
    color: var(--chalk);
  }

  .soft {
    color: var(--ink-soft);
    font-size: 14px;
  }

  .caution {
    margin-block: 4px;
    padding: 6px 10px;
    border-inline-start: 4px solid var(--hold);
    background: var(--hold-wash);
    font-size: 14px;
  }

  @media (max-width: 1100px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  @media (max-width: 759px) {
    .choice {
      grid-template-columns: 1fr;
      gap: 8px;
    }
  }
</style>
