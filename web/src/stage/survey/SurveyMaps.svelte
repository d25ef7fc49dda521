<script lang="ts">
  import { type ApiProblem, asProblem } from '../../api/call';
  import { maps } from '../../api/client';
  import type { JobHead, SurveyMap, SurveyZone } from '../../api/types';
  import Picks from '../../parts/Picks.svelte';
  import Trouble from '../../parts/Trouble.svelte';
  import { inDrawing, sketch } from '../floor/sketch';

  interface Props {
    job: JobHead;
    zone: SurveyZone;
  }

  let { job, zone }: Props = $props();

  const WIDTH = 620;
  const id = $props.id();

  /** Nothing until the answer is there. */
  let told = $state.raw<readonly SurveyMap[] | null>(null);
  let problem = $state.raw<ApiProblem | null>(null);
  let method = $state('');
  let under = $state.raw<{ x: number; y: number; words: string } | null>(null);
  let svg = $state<SVGSVGElement>();

  /** The maps follow from the readings and where their places are. */
  const facts = $derived(
    JSON.stringify([
      zone.report.survey.entries.map((e) => e.reading.key),
      zone.report.places,
      zone.report.outline,
    ]),
  );
  const shown = $derived(
    told?.find((m) => m.method === method) ?? told?.find((m) => m.grid) ?? told?.[0],
  );
  const outline = $derived(zone.report.outline.corners);
  const drawn = $derived(sketch(outline, WIDTH, 380, 20));

  $effect(() => {
    if (facts) {
      maps({ jobId: job.id, zoneId: zone.id }).then(
        (m) => (told = m),
        (e: unknown) => (problem = asProblem(e)),
      );
    }
  });

  const grid = $derived(shown?.grid);
  const digits = $derived(shown?.digits ?? 0);

  /** Lines that close by themselves, as one path; holes are left open. */
  const closed = (rings: readonly (readonly number[])[]) =>
    rings
      .map((xy) => {
        let d = '';
        for (let i = 0; i + 1 < xy.length; i += 2) {
          d += `${i === 0 ? 'M' : 'L'}${drawn.px(xy[i] ?? 0).toFixed(1)} ${drawn.py(xy[i + 1] ?? 0).toFixed(1)}`;
        }
        return `${d}Z`;
      })
      .join('');
  const bands = $derived(shown?.bands.map((b) => closed(b.rings)) ?? []);
  const beyond = $derived(closed(shown?.beyond ?? []));

  const limitPath = $derived.by(() => {
    const xy = shown?.limitLine ?? [];
    let d = '';
    for (let i = 0; i + 3 < xy.length; i += 4) {
      d += `M${drawn.px(xy[i] ?? 0)} ${drawn.py(xy[i + 1] ?? 0)}L${drawn.px(xy[i + 2] ?? 0)} ${drawn.py(xy[i + 3] ?? 0)}`;
    }
    return d;
  });

  function look(event: PointerEvent) {
    if (!svg || !grid || !shown) {
      return;
    }
    const { x, y } = inDrawing(event, svg, WIDTH);
    const at = drawn.floor(x, y);
    const column = Math.floor((at.x - grid.x) / grid.stepM);
    const row = Math.floor((at.y - grid.y) / grid.stepM);
    const cell = row * grid.columns + column;
    const value = grid.values[cell];
    const inside = column >= 0 && column < grid.columns && value !== undefined;
    const sure = grid.supported[cell];
    under = inside
      ? {
          x,
          y,
          words: sure
            ? `${value.toFixed(digits)} ± ${(2 * (grid.sigmas[cell] ?? 0)).toFixed(digits)} ${shown.unit}`
            : 'nobody knows',
        }
      : null;
  }
</script>

<section aria-labelledby="{id}-head">
  <h2 id="{id}-head">Maps</h2>
  <Trouble {problem} />
  {#if told?.length === 0}
    <p>
      Nothing to draw yet: readings of moisture and of pH, and the heights of a room, are spread
      over the floor here.
    </p>
  {:else if told && shown}
    <Picks
      label="What is mapped"
      choices={told.map((m) => ({ id: m.method, label: m.title }))}
      picked={shown.method}
      onpick={(id) => (method = id)}
    />
    {#if !grid}
      <p>{shown.refusal}</p>
    {:else}
      <div class="columns">
        <svg
          bind:this={svg}
          viewBox="0 0 {WIDTH} {drawn.height}"
          role="img"
          aria-label="{shown.title} on {zone.report.name}: {shown.points
            .map((s) => `${s.name} ${s.value.toFixed(digits)}`)
            .join(', ')}; {Math.round(shown.guessed)} percent of the floor is out of reach"
          onpointermove={look}
          onpointerleave={() => (under = null)}
        >
          <defs>
            <clipPath id="{id}-floor"><path d={drawn.path(outline)} /></clipPath>
            <pattern id="{id}-hatch" width="9" height="9" patternUnits="userSpaceOnUse">
              <path d="M-2 2l4-4M0 9l9-9M7 11l4-4" />
            </pattern>
          </defs>
          <g clip-path="url(#{id}-floor)">
            {#each bands as d, i (i)}<path class="band" data-band={i} {d} />{/each}
            <path class="veil" d={beyond} />
            <path d={beyond} fill="url(#{id}-hatch)" fill-rule="evenodd" />
            <path class="limit" d={limitPath} />
          </g>
          <path class="floor" d={drawn.path(outline)} />
          {#each shown.points as s (s.name)}
            <circle cx={drawn.px(s.at.x)} cy={drawn.py(s.at.y)} r="3.5" />
            <text x={drawn.px(s.at.x)} y={drawn.py(s.at.y) - 8}
              >{s.name.length > 8 ? s.name.slice(0, 7) : s.name}
              {s.value.toFixed(digits)}</text
            >
          {/each}
          {#if under}<text class="under" x={under.x} y={under.y - 14}>{under.words}</text>{/if}
        </svg>
        <div>
          <ul class="legend">
            {#each shown.bands as b, i (i)}
              <li>
                <svg viewBox="0 0 26 16" aria-hidden="true"
                  ><rect class="band" data-band={i} width="26" height="16" /></svg
                >{b.from.toFixed(digits)} to {b.to.toFixed(digits)}
              </li>
            {/each}
            {#if shown.limit !== undefined}
              <li>
                <svg viewBox="0 0 26 16" aria-hidden="true"><path class="limit" d="M0 8h26" /></svg
                >limit {shown.limit.toFixed(digits)}
                {shown.unit}
              </li>
            {/if}
            <li>
              <svg viewBox="0 0 26 16" aria-hidden="true"
                ><rect width="26" height="16" fill="url(#{id}-hatch)" /></svg
              >no reading near: nobody knows
            </li>
          </ul>
          <p>
            A reading speaks for {shown.reach} around it. {Math.round(shown.guessed)} % of the floor is
            out of reach.
            {#if shown.limit !== undefined}Of the rest {Math.round(shown.over)} % is over the limit.{/if}
          </p>
          <p>
            Left out one at a time, each reading is missed by {shown.missed} by what the others say.
          </p>
        </div>
      </div>
    {/if}
  {/if}
</section>

<style>
  section {
    margin-block-start: 24px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 8px;
  }

  .columns {
    display: grid;
    grid-template-columns: minmax(0, 620px) minmax(180px, 1fr);
    gap: 24px;
  }

  svg {
    display: block;
    inline-size: 100%;
  }

  .floor {
    fill: none;
    stroke: var(--ink);
    stroke-width: 3;
  }

  .band,
  .veil {
    fill-rule: evenodd;
  }

  .band {
    --tint: 6%;
    fill: color-mix(in srgb, var(--chalk) var(--tint), var(--ground));
  }

  [data-band='1'] {
    --tint: 17%;
  }

  [data-band='2'] {
    --tint: 30%;
  }

  [data-band='3'] {
    --tint: 44%;
  }

  [data-band='4'] {
    --tint: 60%;
  }

  [data-band='5'] {
    --tint: 78%;
  }

  .veil {
    fill: var(--ground);
    fill-opacity: 0.82;
  }

  pattern path {
    stroke: var(--ink-soft);
    stroke-width: 1;
    opacity: 0.6;
  }

  .limit {
    fill: none;
    stroke: var(--stop);
    stroke-width: 2.5;
    stroke-dasharray: 8 4;
  }

  circle {
    fill: var(--ink);
  }

  text {
    font: 600 16px var(--figures);
    fill: var(--ink);
    text-anchor: middle;
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }

  .under {
    pointer-events: none;
  }

  .legend {
    margin-block-end: 10px;
  }

  .legend li {
    display: flex;
    align-items: center;
    gap: 8px;
    font-size: 14px;
    padding-block: 2px;
  }

  .legend svg {
    inline-size: 26px;
    flex: none;
    outline: 1px solid var(--line);
  }

  p {
    max-inline-size: 44ch;
    margin-block-end: 8px;
    font-size: 14px;
    color: var(--ink-soft);
  }

  @media (max-width: 900px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
