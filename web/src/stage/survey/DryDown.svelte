<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { dryDown } from '../../api/client';
  import type { DryDown, JobHead, SurveyZone } from '../../api/types';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Fold from '../../parts/Fold.svelte';
  import SourceLine from '../../parts/SourceLine.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { longDate } from '../../parts/time';
  import DryingCurve from './DryingCurve.svelte';

  interface Props {
    job: JobHead;
    zone: SurveyZone;
  }

  let { job, zone }: Props = $props();

  let told = $state.raw<DryDown | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let busy = $state(false);
  let means = $state<Record<string, string>>({});
  let place = $state('');

  const units = $derived(job.facts.units);
  const fields = $derived(known.view?.dryingMeans ?? []);
  const ways = $derived(known.view?.dryingWays ?? []);
  /** The forecast follows from the probes, the age and the air: a reading of any of them asks for it anew. */
  const readings = $derived(zone.report.survey.entries.map((e) => e.reading.key).join(' '));
  const likely = $derived(told?.answers[0]);
  const shown = $derived(told?.places.find((p) => p.place === place) ?? told?.places[0]);
  const date = (at: string) => longDate(new Date(at), job.facts.timeZone);

  async function ask() {
    busy = true;
    problem = null;
    try {
      told = await dryDown({ jobId: job.id, zoneId: zone.id }, { ...means });
    } catch (e) {
      problem = asProblem(e);
    } finally {
      busy = false;
    }
  }

  $effect(() => {
    if (readings !== '') {
      void ask();
    }
  });
</script>

<section aria-labelledby="dry-head" aria-busy={busy}>
  <h2 id="dry-head">Dry-down</h2>
  <Trouble {problem} />
  {#if told}
    {#if told.refusal}
      <p class="answer">Not to be told yet. {told.refusal}</p>
    {:else if likely?.likely}
      <p class="answer">
        Down to {Math.round(told.limit * 100)} % about
        <b>{date(likely.likely)}</b>{#if likely.early && likely.late}, between {date(likely.early)} and
          {date(likely.late)}{:else}, perhaps years later{/if}.
        <small>Eight times in ten it is within these dates.</small>
      </p>
    {:else}
      <p class="answer">As it is, not within three years. {likely?.remark ?? ''}</p>
    {/if}
    {#if told.places.length > 0}
      <div class="columns">
        <div>
          {#if told.places.length > 1}
            <label class="probe"
              >Probe
              <select bind:value={() => shown?.place ?? '', (v) => (place = v)}>
                {#each told.places as p (p.place)}<option>{p.place}</option>{/each}
              </select></label
            >
          {/if}
          {#if shown}
            {#if shown.refusal}<p>At {shown.place}: {shown.refusal}</p>{/if}
            {#if shown.curve.length > 0}<DryingCurve
                place={shown}
                limit={told.limit}
                now={told.now}
                timeZone={job.facts.timeZone}
              />{/if}
          {/if}
        </div>
        {#if told.answers.length > 0}
          <div>
            <table>
              <thead>
                <tr
                  ><th>what is done</th><th>dry about</th><th class="number">wait</th><th
                    class="number">cost</th
                  ></tr
                >
              </thead>
              <tbody>
                {#each told.answers as answer (answer.way)}
                  <tr>
                    <th scope="row">{ways.find((w) => w.id === answer.way)?.label}</th>
                    <td>{answer.likely ? date(answer.likely) : 'not in 3 years'}</td>
                    <td class="number">
                      {#if answer.days}<FigureButton
                          figure={answer.days}
                          text={`${Math.round(answer.days.value)} d`}
                        />{/if}
                    </td>
                    <td class="number">
                      {#if answer.cost}<FigureButton figure={answer.cost} />{/if}
                    </td>
                  </tr>
                  {#if answer.remark}<tr class="remark"><td colspan="4">{answer.remark}</td></tr
                    >{/if}
                {/each}
              </tbody>
            </table>
            <Fold title="What would be done, and its price">
              <form
                onsubmit={(e) => {
                  e.preventDefault();
                  void ask();
                }}
              >
                {#each fields as field (field.id)}
                  <FieldEntry
                    {field}
                    {units}
                    bind:value={() => means[field.id] ?? '', (v) => (means[field.id] = v)}
                    fault={problem?.faults.find((f) => f.field === `means.${field.id}`)}
                  />
                {/each}
                <Button type="submit" disabled={busy}>Reckon again</Button>
              </form>
            </Fold>
          </div>
        {/if}
      </div>
      <Fold title="What was taken for known">
        <ul>
          {#each told.assumed as sentence (sentence)}<li>{sentence}</li>{/each}
        </ul>
        {#each told.sources as source (source.sentence)}<SourceLine {source} />{/each}
      </Fold>
    {/if}
  {:else if busy}
    <p role="status">Working out how the slab dries…</p>
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

  .answer {
    max-inline-size: 68ch;
    margin-block-end: 10px;
    font-size: 17px;
  }

  small {
    display: block;
    color: var(--ink-soft);
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 28px;
  }

  .probe {
    display: flex;
    gap: 10px;
    align-items: center;
    margin-block-end: 6px;
  }

  thead th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  tbody tr:not(.remark) {
    border-block-start: 1px solid var(--line);
  }

  tbody th,
  td {
    padding: 5px 8px 5px 0;
  }

  .number {
    text-align: end;
  }

  .remark td {
    color: var(--ink-soft);
    font-size: 14px;
    padding-block-start: 0;
  }

  form {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
    align-items: end;
  }

  @media (max-width: 900px) {
    .columns,
    form {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
