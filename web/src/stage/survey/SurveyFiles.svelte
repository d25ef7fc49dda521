<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { newKey, readingsUrl, readReadings, surveyReportUrl } from '../../api/client';
  import type { JobHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Trouble from '../../parts/Trouble.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
  }

  let { desk, job }: Props = $props();

  let working = $state(false);
  let problem = $state.raw<ApiProblem | null>(null);
  let told = $state('');

  async function bring(file: File) {
    problem = null;
    told = '';
    try {
      const taken = await readReadings(job.id, newKey(), await file.text());
      await desk.load();
      told = `${taken.added} readings taken over${taken.known > 0 ? `, ${taken.known} were here already` : ''}.`;
    } catch (e) {
      problem = asProblem(e);
    }
  }
</script>

<section aria-labelledby="files-head">
  <h2 id="files-head">On paper, and in a spreadsheet</h2>
  <Trouble {problem} />
  <p>
    <a href={surveyReportUrl(job.id, working)} target="_blank" rel="noopener">Survey report</a>
    <label><input type="checkbox" bind:checked={working} /> and how each figure came about</label>
  </p>
  <p>
    <a href={readingsUrl(job.id)} download>Readings as CSV</a>
    <FilePick label="Bring readings in" accept=".csv,text/csv" onpick={(f) => void bring(f)} />
    {#if told}<span role="status">{told}</span>{/if}
  </p>
</section>

<style>
  section {
    margin-block-start: 28px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 6px;
  }

  p {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 24px;
    min-block-size: var(--tap);
    border-block-start: 1px solid var(--line);
  }

  a {
    font-weight: 600;
  }

  label {
    display: flex;
    align-items: center;
    gap: 8px;
  }
</style>
