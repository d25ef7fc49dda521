<script lang="ts">
  import type { JobHead, SurveyZone } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { appClock } from '../../app/clock.svelte';
  import { go, jobHref } from '../../app/route.svelte';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Places from '../../parts/Places.svelte';
  import { when } from '../../parts/time';
  import CycleLine from '../care/CycleLine.svelte';
  import ZoneDialog from '../floor/ZoneDialog.svelte';
  import AreaList from './AreaList.svelte';
  import CandidateTable from './CandidateTable.svelte';
  import DryDown from './DryDown.svelte';
  import FindingRow from './FindingRow.svelte';
  import ReadingsTable from './ReadingsTable.svelte';
  import TestsOut from './TestsOut.svelte';
  import SurveyFiles from './SurveyFiles.svelte';
  import SurveyMaps from './SurveyMaps.svelte';
  import TestPlaces from './TestPlaces.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
    /** Which place of it. */
    section: string;
    onreading: (method?: string, place?: string) => void;
  }

  let { desk, job, zone, section, onreading }: Props = $props();
  let editing = $state(false);
  let passes = $state(false);

  const report = $derived(zone.report);
  const judged = $derived(report.survey);
  const against = $derived(judged.findings.filter((f) => f.verdict !== 'GO'));
  const going = $derived(judged.findings.filter((f) => f.verdict === 'GO'));
  /** What is neither asked for nor taken is found under New reading. */
  const tallies = $derived(judged.tallies.filter((t) => t.required || t.taken > 0));
  const probed = $derived(judged.entries.some((e) => e.reading.method === 'in-slab-rh'));
  const places = $derived([
    { id: 'against', label: 'What stands against it' },
    { id: 'floor', label: 'Floor and tests' },
    { id: 'candidates', label: 'What could go on it' },
    { id: 'maps', label: 'Maps' },
    ...(probed ? [{ id: 'drying', label: 'Dry-down' }] : []),
    { id: 'readings', label: 'Readings' },
    { id: 'files', label: 'Paper and files' },
  ]);
  /** The first test that was not taken often enough. */
  const wanting = $derived(judged.tallies.find((t) => t.required && t.taken < t.needed.value));
  const answer = $derived(judged.earliestAnswer ? new Date(judged.earliestAnswer) : null);
</script>

<h1>Slab survey</h1>
<CycleLine {job} {zone} />
<div class="verdict" data-verdict={judged.verdict}>
  <Mark mark={judged.verdict} size="large" />
  <p>
    {judged.summary}
    {#if answer && answer > appClock.now}<b
        >Earliest answer {when(answer, job.facts.timeZone, appClock.now)}.</b
      >{/if}
  </p>
  <div class="buttons">
    {#if wanting}
      <Button kind="main" onclick={() => onreading(wanting.method)}
        >{wanting.title}{wanting.needed.value > 1
          ? `, ${wanting.taken + 1} of ${wanting.needed.value}`
          : ''}</Button
      >
    {/if}
    <Button kind={wanting ? 'plain' : 'main'} hint="n" onclick={() => onreading()}
      >New reading</Button
    >
  </div>
</div>

<Places {places} {section} href={(id) => jobHref(job.id, zone.id, 'slab', id)} />

<div class="columns">
  <section id="at-floor" aria-labelledby="floor-head">
    <h2 id="floor-head">The floor</h2>
    <TestPlaces {desk} {job} {zone} />
    <p class="measure">
      {report.area.label === 'patch' ? 'Patch' : 'Area'}
      <FigureButton figure={report.area} /> <small>{report.area.also}</small>
      &nbsp; {report.area.label === 'patch' ? 'Round the patch' : 'Perimeter'}
      <FigureButton figure={report.perimeter} />
      <small>{report.perimeter.also}</small>
    </p>
    <div class="buttons">
      <Button onclick={() => (editing = true)}>Edit zone</Button>
      <Button hint="p" onclick={() => go(jobHref(job.id, zone.id, 'plan'))}>Measure</Button>
    </div>
    <TestsOut {job} {zone} onread={onreading} />
    <AreaList {desk} {job} {zone} />
    <h2>Tests</h2>
    <table>
      <thead>
        <tr
          ><th>method</th><th class="number">taken</th><th class="number">needed</th><th>verdict</th
          ></tr
        >
      </thead>
      <tbody>
        {#each tallies as tally (tally.method)}
          <tr>
            <td>{tally.title}</td>
            <td class="number figure">{tally.taken}</td>
            <td class="number">
              {#if tally.required}<FigureButton
                  figure={tally.needed}
                  text={String(tally.needed.value)}
                />{:else}<small>if wanted</small>{/if}
            </td>
            <td
              >{#if tally.verdict}<Mark mark={tally.verdict} />{:else}<small
                  >{tally.taken > 0 ? 'no limit asked' : 'not taken'}</small
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </section>

  <section id="at-against" aria-labelledby="why-head">
    <h2 id="why-head">
      {against.length === 0 ? 'Nothing stands against it' : 'What stands against it'}
    </h2>
    <ul>
      {#each against as finding, i (`${finding.rule} ${finding.place} ${i}`)}
        <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
      {/each}
      {#if passes}
        {#each going as finding, i (`${finding.rule} ${finding.place} ${i}`)}
          <FindingRow {desk} {finding} timeZone={job.facts.timeZone} />
        {/each}
      {/if}
    </ul>
    {#if going.length > 0}
      <Button kind="quiet" onclick={() => (passes = !passes)}>
        {passes ? 'Hide what passed' : `Show what passed (${going.length})`}
      </Button>
    {/if}
  </section>
</div>

<div id="at-candidates"><CandidateTable {job} {zone} /></div>
<div id="at-maps"><SurveyMaps {job} {zone} /></div>
{#if probed}<div id="at-drying"><DryDown {job} {zone} /></div>{/if}
<div id="at-readings"><ReadingsTable {desk} {job} {zone} /></div>
<div id="at-files"><SurveyFiles {desk} {job} /></div>

{#if editing}<ZoneDialog {desk} {job} {zone} onclose={() => (editing = false)} />{/if}

<style>
  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
    margin-block: 0 8px;
  }

  .verdict {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 10px 22px;
    align-items: center;
    padding-block: 10px 14px;
    margin-block-end: 20px;
    border-block-end: 4px solid var(--go);
    font-size: 17px;
  }

  [data-verdict='HOLD'] {
    border-color: var(--hold);
  }

  [data-verdict='STOP'] {
    border-color: var(--stop);
  }

  [data-verdict='WATCH'] {
    border-color: var(--ink);
  }

  .columns {
    display: grid;
    grid-template-columns: 300px minmax(0, 1fr);
    gap: 32px;
  }

  .measure {
    padding-block: 8px 12px;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }

  .verdict .buttons {
    grid-column: 2;
  }

  section .buttons {
    margin-block-end: 22px;
  }

  small {
    color: var(--ink-soft);
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
    padding-block: 2px;
  }

  td {
    padding-block: 7px;
    border-block-start: 1px solid var(--line);
  }

  .number {
    text-align: end;
    padding-inline-end: 12px;
  }

  .figure {
    font: 600 18px var(--figures);
  }

  @media (max-width: 1000px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
      gap: 20px;
    }
  }

  @media (max-width: 759px) {
    .verdict {
      grid-template-columns: 1fr;
      gap: 6px;
      font-size: 16px;
    }

    .verdict .buttons {
      grid-column: 1;
    }

    .columns section:nth-child(2) {
      order: -1;
    }
  }
</style>
