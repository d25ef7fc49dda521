<script lang="ts">
  import type { JobHead, LogView, ZoneHead } from '../api/types';
  import Button from '../parts/Button.svelte';
  import TextEntry from '../parts/TextEntry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { clock, longDate } from '../parts/time';
  import type { JobDesk } from './job.svelte';
  import { Logging } from './logging.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
  }

  let { desk, job, zone }: Props = $props();
  let note = $state('');
  const sending = new Logging();

  $effect(() => desk.want(desk.logPath));
  const log = $derived(desk.logBook?.log);

  const day = (entry: LogView) => longDate(new Date(entry.at), job.facts.timeZone);
  const days = $derived(
    [...new Set(log?.map(day))].map((d) => [d, log?.filter((e) => day(e) === d) ?? []] as const),
  );

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
  <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
  <Button kind="main" type="submit" disabled={sending.busy}>Write note</Button>
</form>
<Trouble problem={sending.problem} shown={['note', 'by']} />

{#each days as [date, entries] (date)}
  <h2>{date}</h2>
  <ol>
    {#each entries as entry (entry.key)}
      <li class:struck={entry.struck}>
        <time datetime={entry.at}>{clock(new Date(entry.at), job.facts.timeZone)}</time>
        <span class="what">
          <b>{entry.zone}{entry.place ? `, ${entry.place}` : ''}</b>
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
    {/each}
  </ol>
{:else}
  {#if log}<p class="lead">Nothing has happened yet. Take the first reading with n.</p>{/if}
{/each}

<style>
  h1 {
    font-size: 30px;
  }

  h2 {
    font-size: 20px;
    margin-block: 18px 4px;
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

    li {
      grid-template-columns: 48px 1fr 80px;
    }

    .by {
      display: none;
    }
  }
</style>
