<script lang="ts">
  import type { JobHead, LayerReport, LayerZone } from '../../../api/types';
  import { appClock } from '../../../app/clock.svelte';
  import type { JobDesk } from '../../../app/job.svelte';
  import { outbox } from '../../../app/outbox.svelte';
  import Trouble from '../../../parts/Trouble.svelte';
  import { clock, countdown } from '../../../parts/time';
  import CardBegin from './CardBegin.svelte';
  import CardMend from './CardMend.svelte';
  import CardPour from './CardPour.svelte';
  import CardTime from './CardTime.svelte';
  import { Mixing } from './mixing.svelte';
  import Say from './Say.svelte';

  interface Props {
    desk: JobDesk;
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
    /** Where the layer is. */
    back: string;
  }

  let { desk, job, zone, layer, back }: Props = $props();

  // one card for one layer; the screen is made anew for another
  const mixing = new Mixing(() => ({ desk, job, zone, layer }));
  const hand = $derived(mixing.hand);
  const next = $derived(mixing.next);
  const late = $derived(mixing.useBy !== null && mixing.useBy <= appClock.now);
  const unsent = $derived(outbox.of(zone.id, 'BATCH', layer.id).length);
  const names = { STIR: 'Stir', COMBINE: 'Together', STAND: 'Stand', SPREAD: 'On the floor' };

  // a screen that goes dark is no card
  $effect(() => {
    let lock: WakeLockSentinel | null = null;
    let left = false;
    // only where the connection is a secure one
    if ('wakeLock' in navigator) {
      navigator.wakeLock.request('screen').then(
        (l) => (left ? void l.release() : (lock = l)),
        () => undefined,
      );
    }
    return () => {
      left = true;
      void lock?.release();
    };
  });
</script>

<div class="card">
  <header>
    <p>
      <b>Batch {next?.number ?? ''}</b>
      {#if zone.batches.plan}of {zone.batches.plan.count.value}{/if}
      <small>{layer.title}, {zone.report.name}{next?.run.bays ? `, ${next.run.bays}` : ''}</small>
    </p>
    {#if mixing.useBy}<p class="use" class:late role="timer">
        <b>{late ? 'over' : countdown(mixing.useBy, appClock.now)}</b>
        <small>on the floor by {clock(mixing.useBy, job.facts.timeZone)}</small>
      </p>{/if}
    <a href={back}>Leave the card</a>
  </header>

  <div class="now">
    <Trouble problem={mixing.sending.problem} shown={['by', 'note', 'readings', 'vessel.tare']} />
    {#if !next}
      <Say>
        {zone.batches.next
          ? 'No signal, and the next batch is of another size: it comes with the signal.'
          : `There is no batch to mix here: ${zone.batches.whyNot || 'the layer is on.'}`}
      </Say>
    {:else if !hand}
      <CardBegin {mixing} {zone} {layer} planned={next} />
    {:else if hand.weighed && hand.weighed.call !== 'GO'}
      <CardMend {mixing} {hand} weighed={hand.weighed} />
    {:else if mixing.stage?.kind === 'POUR' && mixing.portion}
      <CardPour {mixing} {hand} stage={mixing.stage} portion={mixing.portion} />
    {:else if mixing.stage}
      <CardTime {mixing} {hand} {layer} stage={mixing.stage} {back} />
    {/if}
    {#if hand}
      <p class="foot">
        {hand.at + 1} of {hand.next.recipe.stages.length}
        {#if hand.at > 0 && !hand.together}
          <button type="button" onclick={() => mixing.again()}>Begin this batch again</button>
        {/if}
      </p>
    {/if}
    {#if unsent > 0}<p class="foot" role="status">
        No signal: {unsent === 1 ? 'one batch is' : `${unsent} batches are`} kept on this device, and
        go by themselves.
      </p>{/if}
  </div>

  {#if next}
    <ol aria-label="All of it">
      {#each next.recipe.stages as s, i (i)}
        {@const p = next.recipe.portions.find((x) => x.part === s.part)}
        <li class:past={hand && i < hand.at} aria-current={hand?.at === i ? 'step' : undefined}>
          {#if s.kind === 'POUR'}<b>{s.part}</b>
            {p?.scale
              ? (hand?.weighed?.parts.find((x) => x.part === s.part)?.target.text ?? p.scale.text)
              : (p?.measured ?? '')}{:else}<b>{names[s.kind]}</b>
            {s.kind === 'STIR' ? s.part : ''}
            {s.minutes > 0 ? `${s.minutes} min` : ''}{/if}
        </li>
      {/each}
    </ol>
  {/if}
</div>

<style>
  .card {
    position: fixed;
    inset: 0;
    z-index: 5;
    display: grid;
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) auto;
    gap: 0 32px;
    padding: 18px 32px;
    overflow-y: auto;
    background: var(--ground);
    overscroll-behavior: contain;
  }

  header {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: baseline;
    gap: 4px 24px;
    padding-block-end: 10px;
    border-block-end: 3px solid var(--ink);
  }

  header p {
    font: 500 30px var(--figures);
  }

  header small {
    color: var(--ink-soft);
    font: 400 18px var(--text);
  }

  header a {
    margin-inline-start: auto;
    display: inline-flex;
    align-items: center;
    min-block-size: 56px;
    padding-inline: 12px;
    font-size: 18px;
  }

  .use b {
    font-size: 48px;
    line-height: 1;
  }

  .use.late b {
    color: var(--stop);
  }

  .now {
    display: grid;
    align-content: center;
    justify-items: start;
    gap: 14px;
    padding-block: 16px;
  }

  ol {
    align-self: center;
    min-inline-size: 220px;
    font: 500 24px var(--figures);
  }

  li {
    padding: 10px 12px;
    border-inline-start: 4px solid var(--line);
  }

  li b {
    font-weight: 600;
  }

  li.past {
    color: var(--ink-soft);
    text-decoration: line-through;
  }

  li[aria-current] {
    border-color: var(--chalk);
    background: var(--paper);
  }

  .foot {
    color: var(--ink-soft);
    font-size: 18px;
  }

  .foot button {
    min-block-size: 56px;
    border: 0;
    background: none;
    color: var(--ink);
    font: 500 18px var(--text);
    text-decoration: underline;
    cursor: pointer;
  }

  @media (max-width: 759px) {
    .card {
      display: block;
      padding: 10px 14px;
    }

    ol {
      display: none;
    }

    header p {
      font-size: 24px;
    }
  }
</style>
