<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { layerBays } from '../../api/client';
  import type { FloorBays, JobHead, LayerBays, LayerReport, LayerZone } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import { outbox } from '../../app/outbox.svelte';
  import { jobHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { when } from '../../parts/time';
  import BayMap from './BayMap.svelte';
  import { upcoming } from './card/batch';
  import LayerHead from './LayerHead.svelte';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();

  let told = $state.raw<LayerBays | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  /** Which bay is looked at; the next where nobody picked one. */
  let picked = $state.raw<{ floor: number; bay: number } | null>(null);

  // how far it is follows from what was mixed, here and on the other floors
  const mixed = $derived(`${layer.id} ${job.changes}`);
  $effect(() => {
    if (mixed) {
      layerBays({ jobId: job.id, zoneId: zone.id, layerId: layer.id }).then(
        (b) => (told = b),
        (e: unknown) => (problem = asProblem(e)),
      );
    }
  });

  const floors = $derived(told?.floors ?? []);
  const several = $derived(floors.length > 1);
  const here = $derived(floors[told?.here ?? 0]);
  const next = $derived.by(() => {
    const floor = floors.findIndex((f) => f.next < f.bays.length);
    return floor < 0 ? null : { floor, bay: floors[floor]?.next ?? 0 };
  });
  const at = $derived(picked ?? next ?? { floor: told?.here ?? 0, bay: 0 });
  const floor = $derived(floors[at.floor]);
  const looked = $derived(floor?.bays[at.bay]);
  const isNext = $derived(next?.floor === at.floor && next.bay === at.bay);
  const batch = $derived(
    upcoming(zone.batches, outbox.of(zone.id, 'BATCH', layer.id).length)?.number,
  );
  /** What stands against coating a floor now, for whoever has to get out of it. */
  function trapped(f: FloorBays): string {
    const over = f.over;
    if (!over || f.next >= f.bays.length || !(over.begun || over.wetUntil)) {
      return '';
    }
    const until = over.wetUntil
      ? ` before ${when(new Date(over.wetUntil), job.facts.timeZone, appClock.now)}`
      : ' before it bears';
    const why = over.begun ? 'was begun before it' : 'is wet';
    return `${f.zone} is left over ${over.zone}, which ${why}: nobody gets out of it dry${until}. Wait, or open another way.`;
  }
</script>

<LayerHead title="{layer.title}, bay by bay" {job} {zone} {layer} />
<Trouble {problem} />

{#if told && !here}
  <p class="lead">
    A patch of {zone.report.area.text}: one bay, wherever it lies. The rest of {zone.report.name} stays
    as it is.
  </p>
{/if}
{#if told && here}
  <p class="lead">
    {#if several}
      {floors.length} floors of one room, each whole, from the far one to the way out: {floors
        .map((f) => f.zone)
        .join(', then ')}.
    {/if}
    {several ? `${here.zone} in ` : ''}{here.bays.length === 1
      ? `${several ? 'one' : 'One'} bay.`
      : `${here.bays.length} bays, none larger than one batch covers.`}
    {here.over
      ? `It is left over ${here.over.zone}, which comes after it.`
      : here.drawn
        ? 'The way out comes last.'
        : 'No way out is drawn on the plan: reckoned from the middle of the first wall. Draw the door that stays open.'}
    {#if here.shut.length > 0}<b>
        {here.shut.join(', ')}: nobody gets there dry from the way out. Coat it first and leave in
        spiked shoes, or open another way.</b
      >{/if}
    {#each floors.map(trapped).filter((t) => t) as words (words)}<b> {words}</b>{/each}
  </p>
  <div class="columns">
    <BayMap {floors} {at} {next} />
    <div>
      {#if looked && floor}
        <section aria-label="The bay">
          <h2>
            {several ? `${floor.zone}, ` : ''}{looked.laid.name}
            {#if isNext}<small>next</small>{/if}
          </h2>
          <dl>
            <dt>to cover</dt>
            <dd><FigureButton figure={looked.laid.area} size="big" /></dd>
            <dt>on the floor in</dt>
            <dd><FigureButton figure={looked.laid.minutes} /></dd>
            {#if floor.onto.cutIn}<dt>cut in by brush</dt>
              <dd><FigureButton figure={looked.laid.cutIn} /></dd>{/if}
            {#if looked.batches}<dt>mixed in</dt>
              <dd>{looked.batches}</dd>{/if}
          </dl>
          {#if floor.onto.poured}<p class="soft">{floor.onto.poured}</p>{/if}
          {#if isNext && floor.zoneId !== zone.id}
            <p class="go">
              <a href={jobHref(job.id, floor.zoneId, floor.layerId, 'batch')}
                >Mix for it on {floor.zone}</a
              >
            </p>
          {:else if isNext && batch}
            <p class="go">
              <a href={jobHref(job.id, zone.id, layer.id, 'batch')}>Mix batch {batch} for it</a>
            </p>
          {/if}
        </section>
      {/if}
      {#if !next}<p><b>All of it is on.</b></p>{/if}
      {#each floors as f, k (f.zoneId)}
        {@const first = floors.slice(0, k).reduce((sum, x) => sum + x.bays.length, 0)}
        {#if several}<h3>{f.zone}</h3>{/if}
        <ol>
          {#each f.bays as bay, i (bay.laid.name)}
            <li>
              <button
                type="button"
                aria-pressed={k === at.floor && i === at.bay}
                onclick={() => (picked = { floor: k, bay: i })}
                ><b>{first + i + 1}</b>
                {bay.laid.area.text} <small>{bay.batches}</small>
                <Mark mark={bay.mark} /></button
              >
            </li>
          {/each}
        </ol>
      {/each}
    </div>
  </div>
{/if}

<style>
  .lead {
    max-inline-size: 60ch;
    margin-block: 8px 14px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 640px) minmax(240px, 1fr);
    gap: 24px;
    align-items: start;
  }

  h2 {
    font-size: 26px;
  }

  h3 {
    margin-block-start: 12px;
    font-size: 18px;
  }

  h2 small,
  .soft {
    color: var(--ink-soft);
    font: 400 15px var(--text);
  }

  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 16px;
    align-items: baseline;
  }

  dt {
    color: var(--ink-soft);
  }

  .go a {
    display: inline-flex;
    align-items: center;
    min-block-size: 56px;
    margin-block: 8px;
    padding-inline: 18px;
    background: var(--chalk);
    border-radius: var(--radius);
    color: #fff;
    font-weight: 600;
    text-decoration: none;
  }

  ol button {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
    inline-size: 100%;
    min-block-size: 48px;
    border: 0;
    border-block-start: 1px solid var(--line);
    background: none;
    color: var(--ink);
    font: 400 16px var(--text);
    text-align: start;
    cursor: pointer;
  }

  ol button[aria-pressed='true'] {
    background: var(--chalk-wash);
  }

  ol b {
    min-inline-size: 1.6em;
    font: 600 20px var(--figures);
  }

  @media (max-width: 759px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
    }
  }
</style>
