<script lang="ts">
  import type { JobHead, SurveyZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';
  import PhotoStrip from './PhotoStrip.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: SurveyZone;
  }

  let { desk, job, zone }: Props = $props();
  const sending = new Logging();
  const entries = $derived(zone.report.survey.entries);
  const at = (text: string) => when(new Date(text), job.facts.timeZone, appClock.now);
</script>

<section aria-labelledby="readings-head">
  <h2 id="readings-head">Readings</h2>
  <Trouble problem={sending.problem} />
  {#if entries.length === 0}
    <p>None yet. Begin with the walk-over: it decides what else matters.</p>
  {:else}
    <table>
      <thead>
        <tr
          ><th>place</th><th>method</th><th class="number">found</th><th>verdict</th><th
            class="wide">read</th
          ><th class="wide">by</th><td></td></tr
        >
      </thead>
      <tbody>
        {#each entries as entry (entry.reading.key)}
          <tr class:superseded={entry.superseded}>
            <td>{entry.reading.place}</td>
            <td
              >{entry.title}<PhotoStrip
                {desk}
                entryKey={entry.reading.key}
                of={entry.title}
                at={entry.reading.place}
              /></td
            >
            <td class="number figure">{entry.found}</td>
            <td
              >{#if entry.superseded}<small>read again since</small>{:else if entry.verdict}<Mark
                  mark={entry.verdict}
                />{:else}<small>no limit asked</small>{/if}</td
            >
            <td class="wide">{at(entry.reading.at)}</td>
            <td class="wide">{entry.reading.by}</td>
            <td class="number"
              ><Button
                kind="quiet"
                onclick={() => void sending.strike(desk, zone.id, entry.reading.key)}>Strike</Button
              ></td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
</section>

<style>
  section {
    margin-block-start: 28px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  tbody td {
    border-block-start: 1px solid var(--line);
    padding-inline-end: 10px;
  }

  .number {
    text-align: end;
  }

  th.number,
  td.number {
    padding-inline-end: 16px;
  }

  .figure {
    font: 600 18px var(--figures);
  }

  .superseded td {
    color: var(--ink-soft);
  }

  @media (max-width: 1000px) {
    .wide {
      display: none;
    }
  }
</style>
