<script lang="ts">
  import type { JobView, LogView, ZoneView } from '../api/types';
  import Button from '../parts/Button.svelte';
  import Entry from '../parts/Entry.svelte';
  import Trouble from '../parts/Trouble.svelte';
  import { FormState } from '../parts/form.svelte';
  import { clock, longDate } from '../parts/time';
  import { appClock } from './clock.svelte';
  import type { JobDesk } from './job.svelte';
  import { person } from './person.svelte';

  interface Props {
    desk: JobDesk;
    job: JobView;
    zone: ZoneView;
  }

  let { desk, job, zone }: Props = $props();
  let note = $state('');
  let by = $state(person.name);
  const sending = new FormState();

  const day = (entry: LogView) => longDate(new Date(entry.at), job.facts.timeZone);
  const days = $derived(
    [...new Set(job.log.map(day))].map((d) => [d, job.log.filter((e) => day(e) === d)] as const),
  );

  const at = () => appClock.now.toISOString();

  async function write(event: SubmitEvent) {
    event.preventDefault();
    const form = { kind: 'NOTE', subject: '', place: '', at: at(), by, note, values: {} };
    if (await sending.send([note, by], (key) => desk.log(zone.id, key, form))) {
      person.remember(by);
      note = '';
    }
  }

  async function strike(entry: LogView) {
    const form = {
      kind: 'STRIKE',
      subject: entry.key,
      place: '',
      at: at(),
      by: by || 'somebody',
      note: '',
      values: {},
    };
    await sending.send(entry.key, (key) => desk.log(entry.zoneId, key, form));
  }
</script>

<h1>Logbook</h1>
<p class="lead">
  What was read, passed, mixed and done, by whom and when. Nothing is ever changed; a mistake is
  struck and stays readable.
</p>

<form onsubmit={write} novalidate>
  <Entry label="Note" fault={sending.fault('note')}>
    {#snippet children(a)}
      <textarea
        id={a.id}
        rows="2"
        bind:value={note}
        aria-describedby={a.describedby}
        aria-invalid={a.invalid}></textarea>
    {/snippet}
  </Entry>
  <Entry label="By" fault={sending.fault('by')}>
    {#snippet children(a)}
      <input
        id={a.id}
        bind:value={by}
        aria-describedby={a.describedby}
        aria-invalid={a.invalid}
        autocomplete="name"
      />
    {/snippet}
  </Entry>
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
          {#if entry.struck}<em>struck</em>{/if}
        </span>
        <span class="by">{entry.by}</span>
        {#if !entry.struck && entry.kind !== 'STRIKE'}
          <Button kind="quiet" onclick={() => void strike(entry)}>Strike</Button>
        {:else}<span></span>{/if}
      </li>
    {/each}
  </ol>
{:else}
  <p class="lead">Nothing has happened yet. Take the first reading with n.</p>
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
