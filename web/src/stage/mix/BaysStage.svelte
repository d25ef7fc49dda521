<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { layerBays } from '../../api/client';
  import type { JobHead, LayerBays, LayerReport, LayerZone } from '../../api/types';
  import { jobHref } from '../../app/route.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import Mark from '../../parts/Mark.svelte';
  import LayerHead from './LayerHead.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { sketch } from '../floor/sketch';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();

  const WIDTH = 640;
  const id = $props.id();
  let told = $state.raw<LayerBays | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  /** Which bay is looked at; the next where nobody picked one. */
  let picked = $state(-1);

  // how far it is follows from what was mixed
  const mixed = $derived(`${layer.id} ${zone.batches.logged.map((b) => b.key).join(' ')}`);
  $effect(() => {
    if (mixed) {
      layerBays({ jobId: job.id, zoneId: zone.id, layerId: layer.id }).then(
        (b) => (told = b),
        (e: unknown) => (problem = asProblem(e)),
      );
    }
  });

  const corners = $derived(told?.floor.flatMap((rings) => rings[0] ?? []) ?? []);
  const drawn = $derived(corners.length > 0 ? sketch(corners, WIDTH, 460, 26) : null);
  const at = $derived(picked >= 0 ? picked : (told?.next ?? 0));
  const looked = $derived(told?.bays[at]);
  const all = $derived(told !== null && told.next >= told.bays.length);
</script>

<LayerHead title="{layer.title}, bay by bay" {job} {zone} {layer} />
<Trouble {problem} />

{#if told && drawn}
  <p class="lead">
    {told.bays.length === 1
      ? 'One bay.'
      : `${told.bays.length} bays, none larger than one batch covers.`}
    {told.drawn
      ? 'The way out comes last.'
      : 'No way out is drawn on the plan: reckoned from the middle of the first wall. Draw the door that stays open.'}
    {#if told.shut.length > 0}<b>
        {told.shut.join(', ')}: nobody gets there dry from the way out. Coat it first and leave in
        spiked shoes, or open another way.</b
      >{/if}
  </p>
  <div class="columns">
    <svg
      viewBox="0 0 {WIDTH} {drawn.height}"
      role="img"
      aria-label="{zone.report.name} in bays: {told.bays
        .map((b) => `${b.laid.name} ${b.laid.area.text}`)
        .join(', ')}"
    >
      <defs>
        <marker
          id="{id}-tip"
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerWidth="5"
          markerHeight="5"
          orient="auto"><path d="M0 0L8 4L0 8z" /></marker
        >
      </defs>
      {#each told.bays as bay, i (bay.laid.name)}
        <path
          class="bay"
          class:next={i === told.next}
          class:looked={i === at}
          data-mark={bay.mark}
          d={bay.laid.rings.map(drawn.path).join('')}
        />
      {/each}
      {#each told.joints as joint, i (i)}
        <path
          class="joint"
          d={joint
            .map((c, k) => `${k === 0 ? 'M' : 'L'}${drawn.px(c.x)} ${drawn.py(c.y)}`)
            .join('')}
        />
      {/each}
      {#each looked?.laid.ribbons ?? [] as [from, to], i (i)}
        {#if from && to}<line
            class="ribbon"
            x1={drawn.px(from.x)}
            y1={drawn.py(from.y)}
            x2={drawn.px(to.x)}
            y2={drawn.py(to.y)}
            marker-end="url(#{id}-tip)"
          />{/if}
      {/each}
      {#each told.bays as bay, i (bay.laid.name)}
        <text x={drawn.px(bay.laid.label.x)} y={drawn.py(bay.laid.label.y)}>{i + 1}</text>
      {/each}
      <g class="out" transform="translate({drawn.px(told.out.x)} {drawn.py(told.out.y)})">
        <circle r="6" /><text y="-10">out</text>
      </g>
    </svg>
    <div>
      {#if looked}
        <section aria-label="The bay">
          <h2>
            {looked.laid.name}
            {#if at === told.next}<small>next</small>{/if}
          </h2>
          <dl>
            <dt>to cover</dt>
            <dd><FigureButton figure={looked.laid.area} size="big" /></dd>
            <dt>on the floor in</dt>
            <dd><FigureButton figure={looked.laid.minutes} /></dd>
            <dt>cut in by brush</dt>
            <dd><FigureButton figure={looked.laid.cutIn} /></dd>
            {#if looked.batches}<dt>mixed in</dt>
              <dd>{looked.batches}</dd>{/if}
          </dl>
          <p class="soft">
            Ribbons 2 in from its sides and one down the middle, pulled towards the way out.
          </p>
          {#if zone.batches.next && at === told.next}
            <p class="go">
              <a href={jobHref(job.id, zone.id, layer.id, 'batch')}
                >Mix batch {zone.batches.next.number} for it</a
              >
            </p>
          {/if}
        </section>
      {/if}
      {#if all}<p><b>All of it is on.</b></p>{/if}
      <ol>
        {#each told.bays as bay, i (bay.laid.name)}
          <li>
            <button type="button" aria-pressed={i === at} onclick={() => (picked = i)}
              ><b>{i + 1}</b>
              {bay.laid.area.text} <small>{bay.batches}</small>
              <Mark mark={bay.mark} /></button
            >
          </li>
        {/each}
      </ol>
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

  svg {
    inline-size: 100%;
  }

  .bay {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 2;
    fill-rule: evenodd;
  }

  .bay[data-mark='DONE'] {
    fill: var(--wet-wash);
  }

  .bay[data-mark='IN_HAND'] {
    fill: var(--hold-wash);
  }

  .bay.next {
    fill: var(--chalk-wash);
  }

  .bay.looked {
    stroke: var(--chalk);
    stroke-width: 5;
  }

  .joint {
    fill: none;
    stroke: var(--ink-soft);
    stroke-dasharray: 7 5;
  }

  .ribbon {
    stroke: var(--chalk);
    stroke-width: 3;
  }

  marker path {
    fill: var(--chalk);
  }

  text {
    font: 600 26px var(--figures);
    text-anchor: middle;
    dominant-baseline: middle;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 6px;
  }

  .out circle {
    fill: var(--go);
  }

  .out text {
    font-size: 17px;
    fill: var(--go);
  }

  h2 {
    font-size: 26px;
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
