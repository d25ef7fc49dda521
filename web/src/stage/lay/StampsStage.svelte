<script lang="ts">
  import { untrack } from 'svelte';
  import { type ApiProblem, asProblem } from '../../api/call';
  import { layerStamps, layStamps } from '../../api/client';
  import type { JobHead, LayerReport, LayerStamps, LayerZone, StampForm } from '../../api/types';
  import Button from '../../parts/Button.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import TextEntry from '../../parts/TextEntry.svelte';
  import LayerHead from '../mix/LayerHead.svelte';
  import Undrawn from './Undrawn.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { FormState } from '../../parts/form.svelte';
  import { sketch } from '../floor/sketch';

  interface Props {
    job: JobHead;
    zone: LayerZone;
    layer: LayerReport;
  }

  let { job, zone, layer }: Props = $props();

  const WIDTH = 760;
  const FIELDS = [
    { id: 'along', label: 'A mat, along its row', hint: '' },
    { id: 'across', label: 'Across it', hint: '' },
    { id: 'shift', label: 'Every other row begins later by', hint: 'of a mat' },
    { id: 'grain', label: 'Rows run', hint: 'degrees to the left of along the first wall' },
  ] as const;

  // the screen is made anew for another layer
  // svelte-ignore state_referenced_locally
  const where = { jobId: job.id, zoneId: zone.id, layerId: layer.id };
  let told = $state.raw<LayerStamps | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let typing = $state.raw<Partial<StampForm>>({});
  let before = $state.raw<StampForm[]>([]);
  let picked = $state(0);
  const sending = new FormState();

  $effect(() =>
    untrack(() => {
      layerStamps(where).then(
        (s) => (told = s),
        (e: unknown) => (problem = asProblem(e)),
      );
    }),
  );

  const corners = $derived(told?.floor.flatMap((rings) => rings[0] ?? []) ?? []);
  const drawn = $derived(corners.length > 0 ? sketch(corners, WIDTH, 520, 22) : null);
  const strip = $derived(told?.stamps.strips[picked]);
  const inStrip = (row: number) => strip !== undefined && row >= strip.from && row < strip.to;
  /** Numbers stand on mats that are large enough to carry one. */
  const numbered = $derived((told?.stamps.mats.length ?? 0) <= 260);

  async function lay(form: StampForm, back = false) {
    const was = told?.form;
    const taken = await sending.send(form, async (key) => {
      told = await layStamps(where, key, form);
    });
    if (taken && was) {
      before = back ? before.slice(0, -1) : [...before, was];
      typing = {};
      picked = 0;
    }
  }

  const undo = () => {
    const last = before.at(-1);
    if (last) {
      void lay(last, true);
    }
  };
</script>

<LayerHead title="{layer.title}, mat by mat" {job} {zone} {layer} />
<Trouble {problem} />

{#if told}<Undrawn why={told.undrawn} />{/if}
{#if told && drawn}
  <p class="lead">
    {told.stamps.strips.length === 1 ? 'One strip.' : `${told.stamps.strips.length} strips.`}
    {#if told.most}
      <FigureButton figure={told.most} /> are stamped while the window is open; a crew new to it takes
      less.
    {:else}
      Nobody knows how long the window lasts: read the slab's temperature.
    {/if}
    {#if told.stamps.tooLong}<b
        >A single row takes longer than the window: more hands, or a cooler hour.</b
      >{/if}
  </p>
  <div class="columns">
    <svg
      viewBox="0 0 {WIDTH} {drawn.height}"
      role="img"
      aria-label="{zone.report.name} in {told.stamps.mats.length} mats"
    >
      {#each told.stamps.mats as mat (mat.order)}
        <path
          class="mat"
          class:now={inStrip(mat.row)}
          class:past={!mat.whole}
          d={mat.rings.map(drawn.path).join('')}
        />
      {/each}
      {#each told.floor as part, i (i)}
        <path class="edge" d={part.map(drawn.path).join('')} />
      {/each}
      {#if numbered}
        {#each told.stamps.mats as mat (mat.order)}
          {#if mat.whole || inStrip(mat.row)}
            <text x={drawn.px(mat.label.x)} y={drawn.py(mat.label.y)}>{mat.order}</text>
          {/if}
        {/each}
      {/if}
      <g class="out" transform="translate({drawn.px(told.out.x)} {drawn.py(told.out.y)})">
        <circle r="6" /><text y="-11">out</text>
      </g>
    </svg>
    <div>
      <dl>
        <div>
          <dt>rows</dt>
          <dd>
            <FigureButton
              figure={told.stamps.rows}
              text={String(told.stamps.rows.value)}
              size="big"
            />
          </dd>
        </div>
        <div>
          <dt>mats pressed</dt>
          <dd>
            <FigureButton
              figure={told.stamps.pressed}
              text={String(told.stamps.pressed.value)}
              size="big"
            />
          </dd>
        </div>
        <div>
          <dt>past an edge, by hand</dt>
          <dd>
            <FigureButton
              figure={told.stamps.textured}
              text={String(told.stamps.textured.value)}
              size="big"
            />
          </dd>
        </div>
      </dl>
      <ol>
        {#each told.stamps.strips as s, i (s.number)}
          <li>
            <button type="button" aria-pressed={i === picked} onclick={() => (picked = i)}
              ><b>{s.number}</b>
              {s.to - s.from === 1 ? `row ${s.to}` : `rows ${s.from + 1} to ${s.to}`}, {s.area.text}
              <small>{s.minutes.text} to stamp</small></button
            >
          </li>
        {/each}
      </ol>
      <form
        onsubmit={(e) => {
          e.preventDefault();
          if (told) {
            void lay({ ...told.form, ...typing });
          }
        }}
        novalidate
      >
        <h2>The mats</h2>
        <Trouble problem={sending.problem} shown={FIELDS.map((f) => f.id)} />
        {#each FIELDS as field (field.id)}
          <TextEntry
            label={field.label}
            hint={field.hint}
            fault={sending.fault(field.id)}
            bind:value={
              () => typing[field.id] ?? told?.form[field.id] ?? '',
              (v) => (typing = { ...typing, [field.id]: v })
            }
          />
        {/each}
        <Button kind="main" type="submit" disabled={sending.busy}>Lay them out</Button>
        <Button kind="quiet" disabled={before.length === 0 || sending.busy} onclick={undo}
          >Undo</Button
        >
      </form>
    </div>
  </div>
{:else if !problem}
  <p class="soft">Drawing…</p>
{/if}

<style>
  h2 {
    font-size: 20px;
    margin-block: 14px 4px;
  }

  .lead {
    max-inline-size: 66ch;
    margin-block: 8px 12px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1.6fr) minmax(250px, 1fr);
    gap: 24px;
    align-items: start;
  }

  .columns > div {
    min-inline-size: 0;
  }

  svg {
    inline-size: 100%;
  }

  .mat {
    fill: var(--concrete-light);
    fill-rule: evenodd;
    stroke: var(--paper);
    stroke-width: 1.5;
  }

  .mat.past {
    fill: var(--stone-b);
  }

  .mat.now {
    fill: var(--wet-wash);
  }

  .mat.now.past {
    fill: var(--hold-wash);
  }

  .edge {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2;
  }

  text {
    font: 600 15px var(--figures);
    text-anchor: middle;
    dominant-baseline: middle;
    fill: var(--ink);
  }

  .out circle {
    fill: var(--go);
  }

  .out text {
    fill: var(--go);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 5px;
  }

  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 22px;
  }

  dt,
  .soft,
  small {
    color: var(--ink-soft);
  }

  ol button {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 10px;
    align-items: baseline;
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
    background: var(--wet-wash);
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
