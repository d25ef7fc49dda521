<script lang="ts">
  import { prepSheetUrl } from '../../api/client';
  import type { JobHead, PrepZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { jobHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Places from '../../parts/Places.svelte';
  import SourceLine from '../../parts/SourceLine.svelte';
  import { when } from '../../parts/time';
  import CycleLine from '../care/CycleLine.svelte';
  import PaceDialog from './PaceDialog.svelte';
  import RepairList from './RepairList.svelte';
  import ShiftDesk from './ShiftDesk.svelte';
  import StagingList from './StagingList.svelte';
  import StepRow from './StepRow.svelte';
  import WashDesk from './WashDesk.svelte';
  import Ways from './Ways.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: PrepZone;
    /** Which place of it. */
    section: string;
  }

  let { desk, job, zone, section }: Props = $props();
  const PLACES = [
    { id: 'steps', label: 'Steps' },
    { id: 'buy', label: 'To buy, and repairs' },
    { id: 'washes', label: 'Washes and dust' },
    { id: 'others', label: 'Other ways' },
  ];
  const prep = $derived(zone.report.prep);
  const units = $derived(job.facts.units);
  /** Tile and vinyl have no profile to be opened. */
  const opens = $derived(
    prep.need !== '' && (prep.method === '' || prep.steps.some((s) => s.gate?.id === 'profile')),
  );
  const others = $derived(zone.sheet.ways.filter((w) => !w.chosen));
  const here = $derived(prep.refused.filter((r) => !r.elsewhere));
  const elsewhere = $derived(prep.refused.filter((r) => r.elsewhere));

  const sheet = $derived(zone.sheet);
  let pacing = $state(false);

  const totals = $derived([sheet.hours, sheet.dust, sheet.water].filter((f) => f !== undefined));
  const inHand = $derived(prep.steps.filter((s) => s.progress === 'OPEN' && s.timed));
  /** Opened for whoever comes to it so, and not shut under the hand that ticks the last. */
  const wanted = $derived(inHand.some((s) => (sheetOf(s.id)?.missing.length ?? 0) > 0));
  const sheetOf = (id: string) => sheet.steps.find((s) => s.id === id);
</script>

<header>
  <h1>Preparation</h1>
  <Mark mark={prep.mark} />
</header>
<CycleLine {job} {zone} />
<div class="choice">
  <p class="method">{prep.title}</p>
  <div>
    <p>{prep.because}</p>
    {#if prep.chosen}
      <p>
        Chosen by {prep.chosen.by}, {when(
          new Date(prep.chosen.at),
          job.facts.timeZone,
          appClock.now,
        )}: {prep.chosen.why}
      </p>
    {/if}
    {#each prep.against as words (words)}
      <p class="against"><b>Found since it was begun:</b> {words}</p>
    {/each}
    {#if others.length > 0}
      <p class="soft">
        Fits too: {others.map((w) => w.title.toLowerCase()).join(', ')}.
        <a href={jobHref(job.id, zone.id, 'prep', 'others')}>Compare, choose another way</a>
      </p>
    {/if}
    {#if opens}
      <p class="soft">
        Profile asked for: <b>{prep.need}</b>. {prep.needSource.sentence} By film thickness alone the
        published table says {prep.byThickness}.
      </p>
    {/if}
    {#if totals.length > 0}
      <p class="parts">
        {#each totals as figure (figure.label)}
          <span>{figure.label} <FigureButton {figure} /></span>
        {/each}
        <button type="button" onclick={() => (pacing = true)}>Paces</button>
        <a href={prepSheetUrl(job.id, zone.id)} target="_blank" rel="noopener">Prep sheet (PDF)</a>
      </p>
    {/if}
  </div>
</div>

<Places places={PLACES} {section} href={(id) => jobHref(job.id, zone.id, 'prep', id)} />

<div class="columns">
  <div id="at-steps">
    {#if sheet.staging.length > 0}
      {#key zone.id}
        <StagingList {desk} {zone} things={sheet.staging} {wanted} />
      {/key}
    {/if}
    <ol>
      {#each prep.steps as step, i (`${step.id} ${step.round}`)}
        <StepRow {desk} {job} {zone} {step} n={i + 1} sheet={sheetOf(step.id)} />
      {/each}
    </ol>
    <div id="at-washes"></div>
    <Fold title="Mix a wash" about="Any ratio into any vessel, and what must never meet.">
      <WashDesk {job} {zone} />
    </Fold>
    <Fold
      title="Silica that was measured"
      about="What a laboratory found in the air of a shift, averaged over eight hours."
    >
      <ShiftDesk {units} />
    </Fold>
    <section id="at-others">
      {#if sheet.ways.length > 0}
        <h2>{sheet.ways.length === 1 ? 'The way that fits here' : 'Ways that fit here'}</h2>
        <Ways {desk} {zone} />
      {/if}
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
    </section>
  </div>
  <section id="at-buy">
    {#if sheet.used.length > 0}
      <h2>To buy and to bring</h2>
      <dl>
        {#each sheet.used as figure (figure.label)}
          <dt>{figure.label}</dt>
          <dd><FigureButton {figure} /></dd>
        {/each}
      </dl>
    {/if}
    {#if prep.method !== ''}<RepairList repairs={sheet.repairs} />{/if}
    <p class="soft">
      Cautions here are the usual ones. Local rules, the sheet in hand and licensed people decide.
    </p>
  </section>
</div>
{#if pacing}
  <PaceDialog
    {units}
    first={sheet.steps.map((s) => s.effort.work)}
    onclose={() => {
      pacing = false;
      void desk.again(zone.id);
    }}
  />
{/if}

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
    margin-block-start: 18px;
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

  .parts {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 18px;
  }

  .choice .parts > button {
    border: 0;
    padding: 0;
    background: none;
    color: var(--chalk);
    text-decoration: underline;
    cursor: pointer;
  }

  .against {
    padding-inline-start: 10px;
    border-inline-start: 4px solid var(--stop);
  }

  .method {
    font: 600 40px/1 var(--figures);
    text-transform: uppercase;
    max-inline-size: 320px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 260px;
    gap: 32px;
  }

  .columns > section > h2:first-child {
    margin-block-start: 0;
  }

  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 2px 12px;
  }

  .soft {
    color: var(--ink-soft);
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
