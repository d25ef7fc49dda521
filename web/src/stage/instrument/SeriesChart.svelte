<script lang="ts">
  import type { SeriesView } from '../../api/types';
  import { dayMonth } from '../../parts/time';

  interface Props {
    series: SeriesView;
    timeZone: string;
  }

  let { series, timeZone }: Props = $props();

  const HEIGHT = 130;
  const LEFT = 44;
  const TOP = 10;
  const BOTTOM = 20;
  const LABEL_PX = 96;
  const DAY_MS = 86_400_000;
  /** A line is not drawn over a longer silence than this many usual steps. */
  const GAP_STEPS = 4;

  let wide = $state(860);

  const good = $derived(
    series.recent.flatMap((s) =>
      s.fault === undefined && s.value !== undefined
        ? [{ at: new Date(s.at).getTime(), value: s.value }]
        : [],
    ),
  );
  const low = $derived(Math.min(...good.map((s) => s.value)));
  const high = $derived(Math.max(...good.map((s) => s.value)));
  const begin = $derived(good[0]?.at ?? 0);
  /** To the newest sample, whether it counts or not. */
  const end = $derived(
    Math.max(good.at(-1)?.at ?? 1, new Date(series.recent.at(-1)?.at ?? 0).getTime()),
  );
  const px = $derived(
    (t: number) => LEFT + ((t - begin) / Math.max(1, end - begin)) * (wide - LEFT - 10),
  );
  const py = $derived(
    (v: number) => TOP + ((high - v) / Math.max(1e-9, high - low)) * (HEIGHT - TOP - BOTTOM),
  );
  const gap = $derived((GAP_STEPS * (end - begin)) / Math.max(1, good.length));
  const line = $derived(
    good
      .map((s, i) => {
        const before = good[i - 1];
        const on = before && s.at - before.at <= gap;
        return `${on ? 'L' : 'M'}${px(s.at).toFixed(1)} ${py(s.value).toFixed(1)}`;
      })
      .join(''),
  );
  /** Where samples were set aside: a tick on the floor of the chart, wherever their value may lie. */
  const aside = $derived(
    series.recent
      .filter((s) => s.fault !== undefined)
      .map((s) => new Date(s.at).getTime())
      .filter((t) => t >= begin && t <= end)
      .map((t) => `M${px(t).toFixed(1)} ${HEIGHT - BOTTOM}v-7`)
      .join(''),
  );
  const days = $derived.by(() => {
    const first = Math.ceil(begin / DAY_MS) * DAY_MS;
    const each = Math.max(1, Math.ceil(((end - first) / DAY_MS) * (LABEL_PX / wide)));
    return Array.from(
      { length: Math.max(0, Math.floor((end - first) / (each * DAY_MS)) + 1) },
      (_, i) => first + i * each * DAY_MS,
    );
  });
  const digits = $derived(high - low < 1 ? 2 : high - low < 20 ? 1 : 0);
</script>

<figure bind:clientWidth={wide}>
  <figcaption>
    <b>{series.channel}</b>
    {series.label}{series.unit ? `, ${series.unit}` : ''}
    <span>
      {series.count} samples{#if series.newest}, now <b>{series.newest.typed}</b>{/if}
    </span>
  </figcaption>
  {#if good.length > 1}
    <svg
      viewBox="0 0 {wide} {HEIGHT}"
      role="img"
      aria-label="{series.label} of {series.channel}, from {good[0]?.value.toFixed(digits)} to {good
        .at(-1)
        ?.value.toFixed(digits)}"
    >
      {#each days as day (day)}
        <path class="day" d="M{px(day)} {TOP}v{HEIGHT - TOP - BOTTOM}" />
        <text x={px(day)} y={HEIGHT - 5}>{dayMonth(new Date(day), timeZone)}</text>
      {/each}
      <text class="value" x={LEFT - 6} y={TOP + 10}>{high.toFixed(digits)}</text>
      <text class="value" x={LEFT - 6} y={HEIGHT - BOTTOM}>{low.toFixed(digits)}</text>
      <path class="aside" d={aside} />
      <path class="line" d={line} />
    </svg>
  {:else}
    <p>Nothing that counts yet.</p>
  {/if}
</figure>

<style>
  figure {
    margin-block: 14px 6px;
    padding-block-start: 8px;
    border-block-start: 1px solid var(--line);
  }

  figcaption {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 8px;
    align-items: baseline;
  }

  figcaption > span {
    margin-inline-start: auto;
    color: var(--ink-soft);
  }

  figcaption b {
    font: 600 18px var(--figures);
    color: var(--ink);
  }

  svg {
    display: block;
    inline-size: 100%;
  }

  .line {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 1.6;
  }

  .aside {
    stroke: var(--hold);
    stroke-width: 1.6;
  }

  .day {
    stroke: var(--line);
  }

  text {
    font: 500 13px var(--figures);
    fill: var(--ink-soft);
    text-anchor: middle;
  }

  .value {
    text-anchor: end;
  }

  p {
    color: var(--ink-soft);
  }
</style>
