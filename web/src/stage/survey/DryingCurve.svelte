<script lang="ts">
  import type { DryingPlace } from '../../api/types';
  import { monthYear } from '../../parts/time';

  interface Props {
    place: DryingPlace;
    /** Share that the sheet allows. */
    limit: number;
    now: string;
    timeZone: string;
  }

  let { place, limit, now, timeZone }: Props = $props();

  const WIDE = 460;
  const HIGH = 250;
  const LEFT = 38;
  const FOOT = 26;
  const TOP = 8;
  const TICKS = 4;

  const ms = (at: string) => new Date(at).getTime();
  const times = $derived([
    ...place.readings.map((r) => ms(r.at)),
    ...place.curve.map((b) => ms(b.at)),
    ms(now),
  ]);
  const humidities = $derived([
    limit,
    ...place.readings.map((r) => r.humidity),
    ...place.curve.flatMap((b) => [b.low, b.high]),
  ]);
  const from = $derived(Math.min(...times));
  const until = $derived(Math.max(...times));
  const low = $derived(Math.floor(Math.min(...humidities) * 20 - 0.2) / 20);
  const high = $derived(Math.min(1, Math.ceil(Math.max(...humidities) * 20 + 0.2) / 20));
  const x = (t: number) => LEFT + ((t - from) / (until - from || 1)) * (WIDE - LEFT - 10);
  const y = (h: number) => TOP + ((high - h) / (high - low)) * (HIGH - TOP - FOOT);
  const line = (of: (b: DryingPlace['curve'][number]) => number) =>
    place.curve.map((b) => `${x(ms(b.at)).toFixed(1)} ${y(of(b)).toFixed(1)}`);
  const band = $derived(`M${[...line((b) => b.high), ...line((b) => b.low).reverse()].join('L')}Z`);
  const middle = $derived(`M${line((b) => b.middle).join('L')}`);
  const rows = $derived(
    Array.from({ length: Math.round((high - low) * 20) + 1 }, (_, i) => low + i / 20),
  );
  const columns = $derived(
    Array.from({ length: TICKS }, (_, i) => from + ((i + 0.5) / TICKS) * (until - from)),
  );
  /** Where the curve ends under the limit, the word stands over it. */
  const falls = $derived((place.curve.at(-1)?.middle ?? 1) < limit);
  const last = $derived(place.readings.at(-1));
</script>

<svg
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="Humidity in the slab at {place.place}: {place.readings
    .length} readings, the last {last
    ? Math.round(last.humidity * 100)
    : 0} %, the limit {Math.round(limit * 100)} %"
>
  {#each rows as h, i (i)}
    <line class="grid" x1={LEFT} x2={WIDE - 10} y1={y(h)} y2={y(h)} />
    <text x={LEFT - 6} y={y(h) + 4} text-anchor="end">{Math.round(h * 100)} %</text>
  {/each}
  {#each columns as t, i (i)}
    <text x={x(t)} y={HIGH - 8} text-anchor="middle">{monthYear(new Date(t), timeZone)}</text>
  {/each}
  {#if place.curve.length > 0}
    <path class="band" d={band} />
    <path class="middle" d={middle} />
  {/if}
  <line class="limit" x1={LEFT} x2={WIDE - 10} y1={y(limit)} y2={y(limit)} />
  <text class="of-limit" x={WIDE - 12} y={y(limit) + (falls ? -6 : 15)} text-anchor="end"
    >limit {Math.round(limit * 100)} %</text
  >
  <line class="now" x1={x(ms(now))} x2={x(ms(now))} y1={TOP} y2={HIGH - FOOT} />
  <text x={x(ms(now)) + 4} y={HIGH - FOOT - 6}>now</text>
  {#each place.readings as r, i (i)}
    <circle cx={x(ms(r.at))} cy={y(r.humidity)} r="4" />
  {/each}
</svg>

<style>
  svg {
    inline-size: 100%;
    max-inline-size: 560px;
  }

  text {
    font: 500 12px var(--figures);
    fill: var(--ink-soft);
  }

  .grid {
    stroke: var(--line);
  }

  .band {
    fill: var(--chalk-wash);
  }

  .middle {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 2;
  }

  .limit {
    stroke: var(--stop);
    stroke-width: 1.5;
    stroke-dasharray: 7 4;
  }

  .of-limit {
    fill: var(--stop);
  }

  .now {
    stroke: var(--ink-soft);
    stroke-dasharray: 2 3;
  }

  circle {
    fill: var(--ink);
  }
</style>
