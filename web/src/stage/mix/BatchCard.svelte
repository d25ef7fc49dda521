<script lang="ts">
  import { asProblem } from '../../api/call';
  import { layerRecipe, layerWeighIn } from '../../api/client';
  import type { JobHead, LayerReport, LayerZone, RecipeForm } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import type { JobDesk } from '../../app/job.svelte';
  import { Logging } from '../../app/logging.svelte';
  import { person } from '../../app/person.svelte';
  import { go } from '../../app/route.svelte';
  import WhyEntry from '../../app/WhyEntry.svelte';
  import { readyToRing, ring } from '../../parts/bell';
  import TextEntry from '../../parts/TextEntry.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { clock, countdown } from '../../parts/time';
  import { Card } from './card.svelte';

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
  // svelte-ignore state_referenced_locally
  const card = new Card(zone.id, layer.id, appClock.now);
  const sending = new Logging();
  /** Whether the scale showed something else. */
  let other = $state(false);
  let reading = $state('');
  let tare = $state('');

  const planned = $derived(zone.batches.next);
  const hand = $derived(card.hand);
  const next = $derived(hand?.next ?? planned);
  const stage = $derived(hand?.next.recipe.stages[hand.at]);
  const portion = $derived(hand?.next.recipe.portions.find((p) => p.part === stage?.part));
  /** Of the parts that are weighed, which one. */
  const weighedAt = $derived(
    hand?.next.recipe.portions.filter((p) => p.scale).findIndex((p) => p.part === stage?.part) ??
      -1,
  );
  const onScale = $derived(weighedAt >= 0);
  const target = $derived(
    onScale
      ? (hand?.weighed?.parts.find((p) => p.part === stage?.part)?.target ?? portion?.scale)
      : undefined,
  );
  const correcting = $derived(hand?.weighed && hand.weighed.call !== 'GO' ? hand.weighed : null);
  const where = $derived({ jobId: job.id, zoneId: zone.id, layerId: layer.id });
  const missing = $derived(
    zone.sheet.steps.find((s) => layer.steps.some((l) => l.coat && l.id === s.id))?.missing ?? [],
  );

  const life = $derived(layer.clocks.find((c) => c.clock === 'POT_LIFE')?.time.minutes?.value);
  const ends = (since: string, minutes: number) =>
    new Date(new Date(since).getTime() + minutes * 60_000);
  const until = $derived(
    hand?.since && stage && stage.minutes > 0 ? ends(hand.since, stage.minutes) : null,
  );
  // what was mixed is in the record, and so is when its pot life is over
  const kept = $derived(
    hand?.together ? zone.batches.logged.find((b) => b.number === hand.next.number) : undefined,
  );
  const useBy = $derived(kept?.useBy ? new Date(kept.useBy) : null);
  const over = $derived(until !== null && until <= appClock.now);
  const late = $derived(useBy !== null && useBy <= appClock.now);

  let rung = '';
  $effect(() => {
    const mark = over ? `${hand?.at ?? ''} ${hand?.since ?? ''}` : '';
    if (mark !== '' && mark !== rung) {
      rung = mark;
      ring();
    }
  });

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

  const form = (weight: string): RecipeForm => ({
    way: 'MIXED',
    measuring: next?.measuring ?? 'SCALE',
    // to the last digit: rounded up it might no longer go into one pail
    values: { volume: next ? `${next.run.volume.value} ${next.run.volume.unit}` : '' },
    vessel: {
      ...(next ? { holds: `${next.vesselL} L` } : {}),
      ...(weight.trim() ? { tare: weight } : {}),
    },
    extras: {},
    units: job.facts.units,
  });

  async function begin() {
    readyToRing();
    if (!planned) {
      return;
    }
    sending.problem = null;
    try {
      const recipe = tare.trim() ? await layerRecipe(where, form(tare)) : planned.recipe;
      card.begin({ ...planned, recipe }, appClock.now);
      card.put({ tare });
    } catch (e) {
      sending.problem = asProblem(e);
    }
  }

  function start() {
    readyToRing();
    card.put({ since: appClock.now.toISOString() });
  }

  /** What follows from these readings, one for each part that is in. */
  async function weigh(readings: readonly string[]) {
    if (!hand) {
      return;
    }
    sending.problem = null;
    const stood = hand.together
      ? `${(appClock.now.getTime() - new Date(hand.together).getTime()) / 60_000} min`
      : null;
    try {
      const weighed = await layerWeighIn(where, {
        recipe: form(hand.tare),
        readings: [...readings],
        ...(stood ? { stood } : {}),
        ...(life ? { life: `${life} min` } : {}),
      });
      other = false;
      reading = '';
      if (weighed.call === 'GO') {
        card.on({ readings, weighed });
      } else {
        card.put({ weighed });
      }
    } catch (e) {
      sending.problem = asProblem(e);
    }
  }

  /** The part is in. @param shows what the scale shows, where it is weighed */
  function isIn(shows: string) {
    if (hand && onScale) {
      void weigh([...hand.readings, shows]);
    } else {
      card.on();
    }
  }

  /** What was missing is in: the scale shows what each part was to bring it to. */
  function added() {
    if (hand?.weighed) {
      void weigh(hand.weighed.parts.slice(0, hand.readings.length + 1).map((p) => p.target.text));
    }
  }

  async function thrownAway() {
    const words = `Batch ${next?.number ?? ''} of ${layer.title} thrown away. ${hand?.weighed?.words ?? ''}`;
    if (await sending.write(desk, zone.id, 'NOTE', '', { note: words })) {
      card.end();
    }
  }

  /** The parts meet, and with them the pot life begins: that is what is kept. */
  async function mixed() {
    if (!hand || !next) {
      return;
    }
    readyToRing();
    const inIt = Object.fromEntries(
      (hand.weighed?.parts ?? [])
        .filter((p) => fields.has(`in${p.part}`))
        .map((p) => [`in${p.part}`, p.shown?.text ?? '']),
    );
    const values = { ...amount(), area: next.run.area.text, ...inIt };
    if (await sending.write(desk, zone.id, 'BATCH', layer.id, { values, place: next.run.bays })) {
      const now = appClock.now.toISOString();
      card.put({ together: now, since: now });
    }
  }

  const names = { STIR: 'Stir', COMBINE: 'Together', STAND: 'Stand', SPREAD: 'On the floor' };
  const fields = $derived(new Set(layer.batchFields.map((f) => f.id)));
  /** How much was mixed, as a batch is logged: what the scale made of it, else what was planned. */
  function amount(): Record<string, string> {
    const mixed = hand?.weighed?.volume ?? next?.amount;
    const lot = zone.lots === '' ? {} : { lot: zone.lots };
    if (fields.has('bags')) {
      return { bags: String(next?.amount.value ?? ''), ...lot };
    }
    return mixed ? { volume: `${mixed.value} ${mixed.unit}`, ...lot } : {};
  }

  function spread() {
    card.end();
    go(back);
  }
</script>

{#snippet name()}
  {#if person.name === '' || sending.fault('by')}
    <TextEntry label="By" fault={sending.fault('by')} bind:value={sending.by} autocomplete="name" />
  {/if}
{/snippet}

{#snippet who()}
  <div class="entries">
    {@render name()}
    <WhyEntry {sending} asked={layer.asksReason} />
  </div>
{/snippet}

<div class="card">
  <header>
    <p>
      <b>Batch {next?.number ?? ''}</b>
      {#if zone.batches.plan}of {zone.batches.plan.count.value}{/if}
      <small>{layer.title}, {zone.report.name}{next?.run.bays ? `, ${next.run.bays}` : ''}</small>
    </p>
    {#if useBy}<p class="use" class:late role="timer">
        <b>{late ? 'over' : countdown(useBy, appClock.now)}</b>
        <small>on the floor by {clock(useBy, job.facts.timeZone)}</small>
      </p>{/if}
    <a href={back}>Leave the card</a>
  </header>

  <div class="now">
    <Trouble problem={sending.problem} shown={['by', 'note', 'readings']} />
    {#if !hand && planned}
      <p class="say">{planned.recipe.words}.</p>
      <p class="big">
        {planned.run.volume.text}<small>for {planned.run.area.text}</small>
      </p>
      {#if missing.length > 0}<p class="say">
          <b>Not ticked yet:</b>
          {missing.join(', ')}.
        </p>{/if}
      {#each layer.against as f, i (i)}<p class="say wrong">{f.brief}</p>{/each}
      {#each planned.recipe.findings as f (f.rule)}<p class="say">{f.because} {f.remedy}</p>{/each}
      <div class="entries">
        {#if planned.recipe.portions.some((p) => p.scale)}
          <TextEntry
            label="The empty pail weighs"
            hint="empty: the scale is set to 0 with it on"
            fault={sending.fault('vessel.tare')}
            bind:value={tare}
          />
        {/if}
      </div>
      <div class="taps">
        <button class="main" type="button" onclick={begin}>Begin batch {planned.number}</button>
      </div>
    {:else if hand && correcting}
      <p class="say wrong">{correcting.call === 'ADD' ? 'Not whole yet' : 'Throw it away'}</p>
      {#each correcting.parts as p (p.part)}
        {#if p.add && correcting.call === 'ADD'}
          <p class="big">+ {p.add.text}<small>of {p.part}</small></p>
          <p class="say">
            The scale then shows {correcting.parts[hand.readings.length]?.target.text ?? ''}.
          </p>
        {/if}
      {/each}
      <p class="say">{correcting.words}</p>
      <div class="entries">{@render name()}</div>
      <div class="taps">
        {#if correcting.call === 'ADD'}
          <button class="main" type="button" onclick={added}>It is in</button>
        {/if}
        <button type="button" onclick={() => card.put({ weighed: null })}
          >I misread the scale</button
        >
        <button type="button" disabled={sending.busy} onclick={thrownAway}
          >Thrown away: begin again</button
        >
      </div>
    {:else if hand && stage}
      <p class="say">{stage.words}</p>
      {#if stage.kind === 'POUR' && portion}
        <p class="big part">{portion.part}</p>
        {#if target}
          <p class="big">{target.text}<small>on the scale</small></p>
          <p class="say">{portion.measured}{portion.mass ? `, ${portion.mass.text} of it` : ''}</p>
        {:else}
          <p class="big">
            {portion.measured}<small
              >{portion.line ? `line ${portion.line.text}` : portion.volume.text}</small
            >
          </p>
        {/if}
        {#if portion.most}<p class="say">At most {portion.most.text}.</p>{/if}
        {#if other}
          <form
            class="shows"
            onsubmit={(e) => {
              e.preventDefault();
              isIn(reading);
            }}
          >
            <label for="shows">The scale shows</label>
            <input id="shows" inputmode="decimal" autocomplete="off" bind:value={reading} />
            {#if sending.fault(`readings[${hand.readings.length}]`)}
              <p class="fault">
                Accepted: {sending.fault(`readings[${hand.readings.length}]`)?.accepted}.
              </p>
            {/if}
            <div class="taps">
              <button class="main" type="submit">That is what it shows</button>
              <button type="button" onclick={() => (other = false)}>Back</button>
            </div>
          </form>
        {:else}
          <div class="taps">
            <button class="main" type="button" onclick={() => isIn(target?.text ?? '')}
              >{target ? 'It shows that' : 'It is in'}</button
            >
            {#if target}<button type="button" onclick={() => (other = true)}
                >It shows something else</button
              >{/if}
          </div>
        {/if}
      {:else if stage.kind === 'COMBINE' && !hand.together}
        <p class="big">
          {stage.minutes > 0 ? `${stage.minutes} min` : 'until even'}<small>all together</small>
        </p>
        <p class="say">
          {life
            ? 'The pot life begins with the first turn.'
            : 'It is kept as mixed from the first turn on.'}
        </p>
        {@render who()}
        <div class="taps">
          <button class="main" type="button" disabled={sending.busy} onclick={mixed}
            >Start stirring</button
          >
        </div>
      {:else if stage.kind === 'SPREAD'}
        <p class="big">{next?.run.area.text ?? ''}<small>to cover</small></p>
        {#if !hand.together}{@render who()}{/if}
        <div class="taps">
          {#if hand.together}
            <button class="main" type="button" onclick={spread}>It is on the floor</button>
          {:else}
            <button class="main" type="button" disabled={sending.busy} onclick={mixed}
              >It is mixed</button
            >
          {/if}
        </div>
      {:else}
        <p class="big" role="timer">
          {#if until}{over ? 'Done' : countdown(until, appClock.now)}{:else}{stage.minutes > 0
              ? `${stage.minutes} min`
              : 'until even'}{/if}<small>{stage.part || 'all together'}</small>
        </p>
        <div class="taps">
          {#if stage.minutes > 0 && !until}
            <button class="main" type="button" onclick={start}>Start the clock</button>
          {/if}
          <button class:main={over || stage.minutes === 0} type="button" onclick={() => card.on()}
            >{over || stage.minutes === 0 ? 'Next' : 'Go on without it'}</button
          >
        </div>
      {/if}
      <p class="foot">
        {hand.at + 1} of {hand.next.recipe.stages.length}
        {#if hand.at > 0 && !hand.together}
          <button type="button" onclick={() => card.begin(hand.next, appClock.now)}
            >Begin this batch again</button
          >
        {/if}
      </p>
    {:else}
      <p class="say">There is no batch to mix here: {zone.batches.whyNot || 'the layer is on.'}</p>
    {/if}
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

  .say {
    max-inline-size: 34em;
    font-size: 26px;
    line-height: 1.25;
  }

  .wrong {
    color: var(--stop);
    font-weight: 600;
  }

  .big {
    display: flex;
    flex-wrap: wrap;
    gap: 0 22px;
    align-items: baseline;
    font: 600 clamp(64px, 13vw, 170px) / 0.95 var(--figures);
    font-variant-numeric: proportional-nums;
  }

  .big[role='timer'] {
    font-variant-numeric: tabular-nums;
  }

  .big small {
    font: 400 26px var(--text);
    color: var(--ink-soft);
  }

  .part {
    font-size: clamp(48px, 7vw, 84px);
    color: var(--chalk);
  }

  .entries {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
  }

  .taps {
    display: flex;
    flex-wrap: wrap;
    gap: 16px;
    margin-block-start: 8px;
  }

  .taps button {
    min-block-size: 84px;
    min-inline-size: 220px;
    padding: 0 30px;
    border: 2px solid var(--ink);
    border-radius: var(--radius);
    background: var(--paper);
    color: var(--ink);
    font: 600 26px var(--text);
    cursor: pointer;
  }

  .taps button.main {
    border-color: var(--chalk);
    background: var(--chalk);
    color: #fff;
  }

  .shows {
    display: grid;
    gap: 8px;
    font-size: 26px;
  }

  .shows input {
    inline-size: 100%;
    max-inline-size: 420px;
    min-block-size: 84px;
    padding-inline: 14px;
    border: 2px solid var(--line-strong);
    background: var(--field);
    font: 600 56px var(--figures);
  }

  .fault {
    color: var(--stop);
    font-size: 20px;
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

    .say {
      font-size: 20px;
    }

    .taps,
    .taps button {
      inline-size: 100%;
    }
  }
</style>
