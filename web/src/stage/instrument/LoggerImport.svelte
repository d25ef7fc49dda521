<script lang="ts">
  import { ApiProblem, asProblem } from '../../api/call';
  import {
    loggerChoices,
    loggerFile,
    offerLoggerFile,
    startLoggerFile,
    stopLoggerFile,
  } from '../../api/client';
  import type {
    ChoicesView,
    ColumnMapping,
    FileOffer,
    ImportProgress,
    InstrumentView,
    ValueColumn,
  } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import Dialog from '../../parts/Dialog.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import FilePick from '../../parts/FilePick.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { takenWords, thousands } from './taken';

  interface Props {
    instrument: InstrumentView;
    timeZone: string;
    onclose: () => void;
  }

  let { instrument, timeZone, onclose }: Props = $props();

  const EACH_MS = 300;

  let choices = $state.raw<ChoicesView | null>(null);
  let offer = $state.raw<FileOffer | null>(null);
  let mapping = $state<ColumnMapping | null>(null);
  let progress = $state.raw<ImportProgress | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let busy = $state(false);
  let name = $state('');
  let asking: ReturnType<typeof setTimeout> | undefined;

  $effect(() => {
    loggerChoices().then((c) => (choices = c), failed);
    return () => clearTimeout(asking);
  });

  function failed(e: unknown) {
    problem = asProblem(e);
  }

  const running = $derived(progress?.state === 'RUNNING');
  const share = $derived(progress ? progress.bytes / Math.max(1, progress.ofBytes) : 0);
  const fault = (path: string) => problem?.faults.find((f) => f.field === `mapping.${path}`);
  const columns = $derived((offer?.columns ?? []).map((c) => ({ id: c, label: c })));
  const orNone = $derived([{ id: '', label: 'none' }, ...columns]);

  async function pick(file: File) {
    busy = true;
    problem = null;
    progress = null;
    name = file.name;
    try {
      offer = await offerLoggerFile(file, timeZone);
      mapping = structuredClone(offer.mapping);
    } catch (e) {
      offer = null;
      failed(e);
    } finally {
      busy = false;
    }
  }

  async function start() {
    if (!offer || !mapping) {
      return;
    }
    problem = null;
    try {
      progress = await startLoggerFile(offer.fileId, instrument.id, $state.snapshot(mapping));
      asking = setTimeout(() => void ask(), EACH_MS);
    } catch (e) {
      failed(e);
    }
  }

  async function ask() {
    if (!offer) {
      return;
    }
    try {
      progress = await loggerFile(offer.fileId);
      if (progress.state === 'RUNNING') {
        asking = setTimeout(() => void ask(), EACH_MS);
      } else if (progress.state === 'FAILED') {
        problem = new ApiProblem(400, { detail: 'Nothing was stored.', faults: progress.faults });
      }
    } catch (e) {
      failed(e);
    }
  }

  async function stop() {
    if (offer) {
      progress = await stopLoggerFile(offer.fileId);
    }
  }

  /** A file that was not begun is let go of; one that runs is stopped. */
  function close() {
    if (offer && progress?.state !== 'DONE') {
      void stopLoggerFile(offer.fileId).catch(() => undefined);
    }
    onclose();
  }

  function addValue() {
    const value: ValueColumn = {
      column: offer?.columns[0] ?? '',
      channel: '',
      quantity: 'SLAB_RH',
      unit: '%',
    };
    mapping?.values.push(value);
  }
</script>

<Dialog title="What {instrument.form.papers.name} wrote" onclose={close}>
  {#if progress && progress.state !== 'FAILED'}
    <p class="state" role="status">
      {#if running}
        {thousands(progress.samples)} samples so far, {Math.round(share * 100)} % of {name}.
      {:else if progress.state === 'DONE'}
        {takenWords(progress)}{progress.oddLines > 0
          ? `; ${thousands(progress.oddLines)} lines could not be read and are kept as they are`
          : ''}.
      {:else}
        Stopped. Nothing of it was stored.
      {/if}
    </p>
    <progress max="1" value={progress.state === 'DONE' ? 1 : share} aria-label="How far it is"
    ></progress>
    <div class="buttons">
      {#if running}
        <Button onclick={() => void stop()}>Stop, and store nothing</Button>
      {:else}
        <Button kind="main" onclick={close}>Done</Button>
      {/if}
    </div>
  {:else}
    <Trouble
      {problem}
      shown={problem?.faults.map((f) => f.field).filter((f) => f.startsWith('mapping.')) ?? []}
    />
    <FilePick
      label="Choose its file"
      hint="CSV, or text in columns"
      accept=".csv,.txt,text/csv"
      disabled={busy}
      onpick={(f) => void pick(f)}
    />
    {#if busy}<p role="status">Reading its first lines…</p>{/if}
    {#if offer && mapping}
      <p>
        {#if offer.remembered}Read as a file with these columns was read last time.{:else}A first
          guess: look it over. It is remembered for files with the same columns.{/if}
      </p>
      <div class="sample">
        <table>
          <thead
            ><tr
              >{#each offer.columns as c (c)}<th>{c}</th>{/each}</tr
            ></thead
          >
          <tbody>
            {#each offer.first as row, r (r)}
              <tr
                >{#each row as cell, i (i)}<td>{cell}</td>{/each}</tr
              >
            {/each}
          </tbody>
        </table>
      </div>
      <div class="grid">
        <ChoiceEntry
          label="Time"
          choices={columns}
          fault={fault('time')}
          bind:value={mapping.time}
        />
        <ChoiceEntry
          label="Written as"
          choices={choices?.timeFormats ?? []}
          fault={fault('timeFormat')}
          bind:value={mapping.timeFormat}
        />
        <TextEntry
          label="Its clock stands in"
          hint="where the time has no offset"
          fault={fault('timeZone')}
          bind:value={mapping.timeZone}
        />
        <ChoiceEntry label="Battery, volts" choices={orNone} bind:value={mapping.battery} />
        <ChoiceEntry
          label="Channel"
          hint="none: each column below is one"
          choices={orNone}
          bind:value={mapping.channel}
        />
        <ChoiceEntry label="Quantity" choices={orNone} bind:value={mapping.quantity} />
        <ChoiceEntry label="Unit" choices={orNone} bind:value={mapping.unit} />
      </div>
      {#each mapping.values as value, i (i)}
        <fieldset>
          <legend>Values {mapping.values.length > 1 ? i + 1 : ''}</legend>
          <div class="grid">
            <ChoiceEntry
              label="Column"
              choices={columns}
              fault={fault(`values[${i}].column`)}
              bind:value={value.column}
            />
            {#if mapping.channel === ''}
              <TextEntry
                label="Channel name"
                fault={fault(`values[${i}].channel`)}
                bind:value={value.channel}
              />
            {/if}
            {#if mapping.quantity === ''}
              <ChoiceEntry
                label="Measures"
                choices={choices?.quantities ?? []}
                fault={fault(`values[${i}].quantity`)}
                bind:value={value.quantity}
              />
            {/if}
            {#if mapping.unit === ''}
              <TextEntry label="In" hint="%, °C, °F, MΩ, N" bind:value={value.unit} />
            {/if}
          </div>
          <Button kind="quiet" onclick={() => mapping?.values.splice(i, 1)}>Leave out</Button>
        </fieldset>
      {/each}
      <div class="buttons">
        <Button kind="main" onclick={() => void start()}>Take over</Button>
        <Button onclick={addValue}>Another column</Button>
      </div>
    {/if}
  {/if}
</Dialog>

<style>
  .state {
    font-size: 18px;
    margin-block-end: 10px;
  }

  progress {
    inline-size: 100%;
    block-size: 18px;
    accent-color: var(--chalk);
  }

  .sample {
    overflow-x: auto;
    margin-block: 8px 12px;
    background: #ffffff;
  }

  th,
  td {
    font-size: 13px;
    padding: 3px 8px;
    white-space: nowrap;
    border-block-end: 1px solid var(--line);
  }

  th {
    font-weight: 600;
  }

  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 16px;
  }

  fieldset {
    border-block-start: 1px solid var(--line);
    padding-block: 6px;
  }

  legend {
    font-weight: 600;
    padding: 0;
  }

  .buttons {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
    margin-block-start: 12px;
  }

  @media (max-width: 700px) {
    .grid {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
