<script lang="ts">
  import type { JobHead, LogView, ZoneHead } from '../api/types';
  import Button from '../parts/Button.svelte';
  import Documents from '../parts/Documents.svelte';
  import Fold from '../parts/Fold.svelte';
  import TextEntry from '../parts/TextEntry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { clock, longDate } from '../parts/time';
  import type { JobDesk } from './job.svelte';
  import { days } from './logbook';
  import { Logging } from './logging.svelte';
  import { person } from './person.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
  }

  let { desk, job, zone }: Props = $props();
  let note = $state('');
  const sending = new Logging();

  $effect(() => desk.want(desk.logPath));
  $effect(() => desk.want(desk.documentsPath));
  const log = $derived(desk.logBook?.log);

  /** Layers of all zones, by their ids: in two zones the same id is the same kind of layer. */
  const layers = $derived(
    new Map(job.zones.flatMap((z) => z.report.strata).map((s) => [s.id, s.title])),
  );
  const told = $derived(
    days(log ?? [], (e) => longDate(new Date(e.at), job.facts.timeZone), layers),
  );
  const alone = $derived(job.zones.length === 1);

  async function write(event: SubmitEvent) {
    event.preventDefault();
    if (await sending.write(desk, zone.id, 'NOTE', '', { note })) {
      note = '';
    }
  }
</script>

<h1>Logbook</h1>
<p class="lead">
  What was read, passed, mixed and done, by whom and when. Nothing is ever changed; a mistake is
  struck and stays readable.
</p>

<form onsubmit={write} novalidate>
  <TextEntry label="Note" fault={sending.fault('note')} rows={2} bind:value={note} />
  <div class:known={person.name !== '' && !sending.fault('by')}>
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
  </div>
  <Button kind="main" type="submit" disabled={sending.busy}>Write note</Button>
</form>
<Trouble problem={sending.problem} shown={['note', 'by']} />

{#if desk.documents}
  {@const documents = desk.documents.documents}
  <Fold
    title="Documents"
    count={documents.filter((d) => !d.putAway).length}
    about="Drawings, permits, what the client wrote: as they came, beside what was done."
  >
    <Documents
      {documents}
      hint="PDF or picture, to 10 MB"
      timeZone={job.facts.timeZone}
      keep={(key, name, file) => desk.keepDocument(key, name, file)}
      put={(id, key, form) => desk.putDocument(id, key, form)}
    />
  </Fold>
{/if}

{#snippet line(entry: LogView)}
  <li class:struck={entry.struck}>
    <time datetime={entry.at}>{clock(new Date(entry.at), job.facts.timeZone)}</time>
    <span class="what">
      {#if entry.place}<b>{entry.place}</b>{/if}
      {entry.what}{entry.note ? `: ${entry.note}` : ''}
      {#if entry.against.length > 0}<small>against it: {entry.against.join('; ')}</small>{/if}
      {#if entry.struck}<em>struck</em>{/if}
    </span>
    <span class="by">{entry.by}</span>
    {#if !entry.struck && entry.kind !== 'STRIKE'}
      <Button kind="quiet" onclick={() => void sending.strike(desk, entry.zoneId, entry.key)}
        >Strike</Button
      >
    {:else}<span></span>{/if}
  </li>
{/snippet}

{#each told as day, i (day.date)}
  <Fold title={day.date} count={day.count} open={i === 0}>
    {#each day.passages as passage, p (p)}
      {#if !alone || passage.of !== ''}
        <h2>
          {#if !alone}<b>{passage.zone}</b>{/if}
          {passage.of}
        </h2>
      {/if}
      <ol>
        {#each passage.entries as entry (entry.key)}{@render line(entry)}{/each}
      </ol>
      {#if passage.ready.length > 0}
        <div class="ready">
          <Fold title="At hand" count={passage.ready.length}>
            <ol>
              {#each passage.ready as entry (entry.key)}{@render line(entry)}{/each}
            </ol>
          </Fold>
        </div>
      {/if}
    {/each}
  </Fold>
{:else}
  {#if log}<p class="lead">Nothing has happened yet. Take the first reading with n.</p>{/if}
{/each}

<style>
  h1 {
    font-size: 30px;
  }

  h2 {
    font: 500 15px var(--text);
    color: var(--ink-soft);
    margin-block: 10px 2px;
  }

  h2 b {
    font-weight: 600;
    color: var(--ink);
  }

  .ready {
    padding-inline-start: 72px;
  }

  .lead {
    color: var(--ink-soft);
    margin-block: 4px 14px;
  }

  form {
    display: grid;
    grid-template-columns: 1fr 160px auto;
    gap: 12px;
    align-items: start;
  }

  form :global(button) {
    margin-block-start: 23px;
  }

  li {
    display: grid;
    grid-template-columns: 60px 1fr auto 90px;
    gap: 12px;
    align-items: center;
    min-block-size: var(--tap);
    border-block-start: 1px solid var(--line);
  }

  time {
    font: 600 17px var(--figures);
  }

  .by {
    color: var(--ink-soft);
  }

  .struck .what {
    text-decoration: line-through;
    color: var(--ink-soft);
  }

  small {
    display: block;
    color: var(--stop);
  }

  em {
    display: inline-block;
    font-style: normal;
    font-weight: 600;
  }

  @media (max-width: 759px) {
    form {
      grid-template-columns: 1fr;
      gap: 0;
    }

    form :global(button) {
      margin-block-start: 0;
    }

    /* whoever has said his name is not asked for it between him and the day */
    .known {
      display: none;
    }

    li {
      grid-template-columns: 48px 1fr 80px;
    }

    .ready {
      padding-inline-start: 0;
    }

    .by {
      display: none;
    }
  }
</style>
