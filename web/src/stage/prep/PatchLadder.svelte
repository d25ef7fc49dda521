<script lang="ts">
  import type { JobHead, Ladder, StepReport, ZoneHead } from '../../api/types';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import Button from '../../parts/Button.svelte';
  import ChoiceEntry from '../../parts/ChoiceEntry.svelte';
  import FieldEntry from '../../parts/FieldEntry.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { happened } from '../../parts/time';
  import Earlier from './Earlier.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: ZoneHead;
    step: StepReport;
    ladders: Ladder[];
  }

  let { desk, job, zone, step, ladders }: Props = $props();
  const sending = new Logging();

  const words: Record<Ladder['rungs'][number]['result'], string> = {
    UNTRIED: 'not tried',
    WEAK: 'too weak',
    WORKS: 'works',
    HARMS: 'too strong',
  };
  /** The one that was tried already, else the first. */
  const tried = $derived(
    ladders.find((l) => l.rungs.some((r) => r.result !== 'UNTRIED')) ?? ladders[0],
  );
  let chosen = $state('');
  const ladder = $derived(ladders.find((l) => l.id === chosen) ?? tried);
  let trying = $state(false);
  let values = $state<Record<string, string>>({});
  let place = $state('');
  let earlier = $state('');
  const gate = $derived(step.gate);
  const asked = $derived(gate?.fields.filter((f) => f.id !== 'chemical') ?? []);

  function start() {
    values = { water: String(ladder?.next?.water ?? ''), dwell: step.waits, result: '' };
    trying = true;
  }

  async function save(event: SubmitEvent) {
    event.preventDefault();
    if (!gate || !ladder) {
      return;
    }
    const typed = { ...values, chemical: ladder.id };
    const more = { values: typed, place, ...happened(earlier, job.facts.timeZone) };
    if (await sending.write(desk, zone.id, 'GATE', gate.id, more)) {
      trying = false;
      earlier = '';
    }
  }
</script>

{#if ladder && gate}
  <div class="ladder">
    {#if ladders.length > 1}
      <ChoiceEntry
        label="Tried with"
        choices={ladders.map((l) => ({ id: l.id, label: l.title }))}
        bind:value={() => ladder.id, (v) => (chosen = v)}
      />
    {:else}
      <p><b>{ladder.title}</b></p>
    {/if}
    <ol>
      {#each ladder.rungs as rung (rung.ratio.water)}
        <li data-result={rung.result} class:next={rung.ratio.water === ladder.next?.water}>
          <b>{rung.ratio.typed}</b>
          <span>{rung.words}</span>
          <em>{rung.ratio.water === ladder.next?.water ? 'try this' : words[rung.result]}</em>
        </li>
      {/each}
    </ol>
    <p role="status"><b>{ladder.word}</b></p>
    {#if step.progress !== 'WAITING' && step.progress !== 'FAILED'}
      {#if trying}
        <form onsubmit={save} novalidate>
          <Trouble
            problem={sending.problem}
            shown={['by', 'at', 'place', ...asked.map((f) => `values.${f.id}`)]}
          />
          {#each asked as field (field.id)}
            <FieldEntry
              {field}
              units={job.facts.units}
              bind:value={() => values[field.id] ?? '', (v) => (values[field.id] = v)}
              fault={sending.fault(`values.${field.id}`)}
            />
          {/each}
          <TextEntry
            label="Where"
            hint="behind the door"
            fault={sending.fault('place')}
            bind:value={place}
          />
          <TextEntry
            label="By"
            fault={sending.fault('by')}
            bind:value={sending.by}
            autocomplete="name"
          />
          <Earlier timeZone={job.facts.timeZone} fault={sending.fault('at')} bind:value={earlier} />
          <div class="buttons">
            <Button kind="main" type="submit" disabled={sending.busy}>Record the square</Button>
            <Button kind="quiet" onclick={() => (trying = false)}>Not now</Button>
          </div>
        </form>
      {:else}
        <Button onclick={start}>Record a square</Button>
      {/if}
    {/if}
  </div>
{/if}

<style>
  .ladder {
    margin-block: 8px;
  }

  ol {
    margin-block: 6px;
    border-block-start: 1px solid var(--line);
  }

  li {
    display: grid;
    grid-template-columns: 64px 1fr auto;
    gap: 12px;
    align-items: baseline;
    padding: 5px 8px;
    border-block-end: 1px solid var(--line);
  }

  li b {
    font: 600 20px/1.2 var(--figures);
  }

  span {
    color: var(--ink-soft);
    font-size: 14px;
  }

  em {
    font-style: normal;
    font-weight: 600;
  }

  [data-result='WORKS'] {
    background: var(--go-wash);
  }

  [data-result='WORKS'] em {
    color: var(--go);
  }

  [data-result='HARMS'] em,
  [data-result='WEAK'] em {
    color: var(--stop);
  }

  .next {
    background: var(--chalk-wash);
  }

  .next em {
    color: var(--chalk);
  }

  .buttons {
    display: flex;
    gap: 10px;
  }
</style>
