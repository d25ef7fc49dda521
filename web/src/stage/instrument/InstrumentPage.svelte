<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { collect, newKey, sent } from '../../api/client';
  import type { Collected, InstrumentView, SentView } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { known } from '../../app/reference.svelte';
  import Button from '../../parts/Button.svelte';
  import Fold from '../../parts/Fold.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';
  import InstrumentEditor from './InstrumentEditor.svelte';
  import LoggerImport from './LoggerImport.svelte';
  import SeriesChart from './SeriesChart.svelte';
  import { takenWords } from './taken';

  interface Props {
    instrument: InstrumentView;
    onsaved: (id: string) => void;
  }

  let { instrument, onsaved }: Props = $props();

  /** Instruments belong to the shop, not to one floor: their times are told where this screen stands. */
  const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

  let told = $state.raw<SentView | null>(null);
  let taken = $state.raw<Collected | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let busy = $state(false);
  let importing = $state(false);

  const kind = $derived(
    known.view?.instrumentKinds.find((k) => k.id === instrument.form.kind)?.label ?? '',
  );
  const moment = (at: string) => when(new Date(at), HERE, appClock.now);

  async function load() {
    try {
      told = await sent(instrument.id);
    } catch (e) {
      problem = asProblem(e);
    }
  }

  $effect(() => void load());

  async function fetchNew() {
    busy = true;
    problem = null;
    try {
      taken = await collect(instrument.id, newKey());
      await load();
    } catch (e) {
      problem = asProblem(e);
    } finally {
      busy = false;
    }
  }

  async function closeImport() {
    importing = false;
    await load();
  }
</script>

<header>
  <h1>{instrument.form.papers.name}</h1>
  <Mark
    mark={instrument.lapsed ? 'HOLD' : 'GO'}
    word={instrument.lapsed ? 'calibration lapsed' : 'certificate holds'}
  />
</header>
<p>
  {kind}, calibrated {instrument.form.papers.calibrated}, good until {instrument.form.papers.due}.
</p>
<Trouble {problem} />
<div class="buttons">
  {#if instrument.form.address}
    <Button kind="main" disabled={busy} onclick={() => void fetchNew()}
      >{busy ? 'Asking it…' : 'Collect what is new'}</Button
    >
  {/if}
  <Button onclick={() => (importing = true)}>From a file</Button>
</div>
{#if taken}
  <p role="status">
    {takenWords(taken)}.{#if taken.more}
      It has more than is taken at once: collect again.{/if}
  </p>
{/if}

{#if told}
  {#if told.series.length === 0}
    <p class="empty">
      It has sent nothing yet. Collect from its address, or bring a file it wrote.
    </p>
  {/if}
  {#each told.series as series (`${series.channel} ${series.quantity}`)}
    <SeriesChart {series} timeZone={HERE} />
  {/each}
  {#if told.setAside.length > 0}
    <h2>Set aside</h2>
    <p>Kept as it was sent, never counted, never averaged.</p>
    <table>
      <thead>
        <tr
          ><th>channel</th><th>reason</th><th class="number">samples</th><th>from</th><th
            class="wide">to</th
          ></tr
        >
      </thead>
      <tbody>
        {#each told.setAside as a (`${a.channel} ${a.label} ${a.title}`)}
          <tr>
            <td>{a.channel}<small>{a.label}</small></td>
            <td><b>{a.title}</b> <span>{a.because}</span></td>
            <td class="number">{a.count}</td>
            <td>{moment(a.first)}</td>
            <td class="wide">{moment(a.last)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#if told.oddLines.length > 0}
    <h2>Lines that could not be read</h2>
    <table>
      <tbody>
        {#each told.oddLines as odd, i (i)}
          <tr>
            <td class="number">line {odd.fileLine}</td>
            <td><code>{odd.words}</code></td>
            <td>{odd.reason}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {/if}
{/if}

<div class="edit">
  <Fold title="Its papers and address">
    {#key instrument.version}<InstrumentEditor stored={instrument} {onsaved} />{/key}
  </Fold>
</div>

{#if importing}
  <LoggerImport {instrument} timeZone={HERE} onclose={() => void closeImport()} />
{/if}

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 6px 20px;
  }

  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
    margin-block: 22px 4px;
  }

  p {
    max-inline-size: 68ch;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
    margin-block: 12px;
  }

  .empty,
  small,
  span {
    color: var(--ink-soft);
  }

  table {
    margin-block-start: 8px;
  }

  th {
    font-size: 13px;
    color: var(--ink-soft);
  }

  td {
    padding: 6px 12px 6px 0;
    border-block-start: 1px solid var(--line);
    vertical-align: baseline;
  }

  td span {
    display: block;
    font-size: 14px;
    max-inline-size: 52ch;
  }

  td small {
    display: block;
  }

  .number {
    text-align: end;
    white-space: nowrap;
    padding-inline-end: 20px;
  }

  code {
    overflow-wrap: anywhere;
    font-size: 13px;
  }

  .edit {
    margin-block-start: 24px;
  }

  @media (max-width: 700px) {
    .wide {
      display: none;
    }

    td,
    th {
      padding-inline-end: 8px;
      font-size: 14px;
    }
  }
</style>
