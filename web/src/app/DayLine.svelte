<script lang="ts">
  import type { Daylight, LeadZone, RunningClock } from '../api/types';
  import Mark from '../parts/Mark.svelte';
  import { clock, left as leftOf, weekday, when } from '../parts/time';
  import { bars, days, spanAround, ticks, xOf } from './dayline';

  interface Props {
    clocks: readonly RunningClock[];
    /** Where the floor lies; none where nobody said where that is. */
    daylight: readonly Daylight[];
    next: LeadZone['next'];
    /** Where that is done. */
    there: string;
    timeZone: string;
    now: Date;
  }

  let { clocks, daylight, next, there, timeZone, now }: Props = $props();

  const ROWS = 3;
  const ROW = 25;
  const TOP = 26;
  /** Under the bars, where the day begins and ends. */
  const GROUND = 17;

  let width = $state(1180);
  const span = $derived(spanAround(now, width));
  const placed = $derived(bars(clocks, span, width, ROWS));
  const skies = $derived(days(daylight, span, width));
  const rows = $derived(Math.max(1, ...placed.map((b) => b.row + 1)));
  const hours = $derived(ticks(span, width, (at) => Number(clock(at, timeZone).slice(0, 2))));
  const horizon = $derived(TOP + rows * ROW + 2);
  const nowX = $derived(xOf(now.getTime(), span, width));
  /** What somebody chose; left alone, an empty one is folded. */
  let said = $state<boolean | null>(null);
  const folded = $derived(said ?? placed.length === 0);
  const nextAt = $derived(next.at ? new Date(next.at) : null);
</script>

<footer aria-label="Day line" class:folded>
  <button type="button" class="fold" aria-expanded={!folded} onclick={() => (said = !folded)}>
    <b>Clocks</b>
    {#if folded}
      <span
        >{placed.length === 0
          ? 'none is running in these hours'
          : `${placed.length} in these hours`}</span
      >
    {/if}
    <svg viewBox="0 0 12 12" aria-hidden="true"
      ><path d={folded ? 'M2 8L6 4L10 8' : 'M2 4L6 8L10 4'} /></svg
    >
  </button>
  {#if folded}
    <a class="next" href={there}>
      <Mark mark={next.mark} word={next.word} />
      <span>{next.label}{nextAt ? `, ${leftOf(nextAt, now)}` : ''}</span>
    </a>
  {/if}
  {#if !folded}
    <div class="line" bind:clientWidth={width}>
      <svg {width} height={horizon + (skies.length > 0 ? GROUND : 4)} aria-hidden="true">
        {#if skies.length > 0}
          <rect class="night" {width} height={horizon} />
          {#each skies as day (day.day.rise)}
            <rect class="day" x={day.left} width={day.right - day.left} height={horizon} />
            <path
              class="sun"
              d="M{day.rise} {horizon}Q{(day.rise + day.set) / 2} {44 -
                horizon} {day.set} {horizon}"
            />
          {/each}
          <path class="horizon" d="M0 {horizon}H{width}" />
          {#each skies as day (day.day.rise)}
            {#if day.rise > 40 && day.rise < width - 40}
              <text x={day.rise} y={horizon + 13}
                >sunrise {clock(new Date(day.day.rise), timeZone)}</text
              >
            {/if}
            {#if day.set > 40 && day.set < width - 40}
              <text x={day.set} y={horizon + 13}
                >sunset {clock(new Date(day.day.set), timeZone)}</text
              >
            {/if}
          {/each}
        {/if}
        {#each hours as hour (hour)}
          {@const x = xOf(hour, span, width)}
          {@const label = clock(new Date(hour), timeZone)}
          <path class="tick" class:midnight={label === '00:00'} d="M{x} 18V{TOP + rows * ROW}" />
          {#if Math.abs(x - nowX) > 48 && x > 20 && x < width - 22}
            <text {x} y="13">{label === '00:00' ? weekday(new Date(hour), timeZone) : label}</text>
          {/if}
        {/each}
        {#each placed as bar, i (`${bar.clock.label} ${bar.clock.from} ${i}`)}
          <g transform="translate({bar.left} {TOP + bar.row * ROW})">
            <rect
              class="clock"
              data-mark={bar.clock.mark}
              class:planned={bar.clock.planned}
              width={bar.right - bar.left}
              height={ROW - 5}
            />
            <text class="bar" x="7" y="15">{bar.clock.label}</text>
          </g>
        {/each}
        <path class="now" d="M{nowX} 0V{horizon}" />
        <rect class="flag" x={nowX - 24} y="0" width="48" height="18" />
        <text class="flagged" x={nowX} y="13">{clock(now, timeZone)}</text>
      </svg>
      {#if placed.length === 0}<p class="none">No clock is running in these hours.</p>{/if}
    </div>
  {/if}
  <div class="unseen">
    {#each daylight as day (day.rise)}
      <p>
        Sunrise {when(new Date(day.rise), timeZone, now)}, sunset {when(
          new Date(day.set),
          timeZone,
          now,
        )}
      </p>
    {/each}
    <table>
      <caption>Clocks of this zone</caption>
      <tbody>
        {#each clocks as c, i (`${c.label} ${c.from} ${i}`)}
          <tr>
            <th scope="row">{c.label}{c.planned ? ', planned' : ''}</th>
            <td>{when(new Date(c.from), timeZone, now)}</td>
            <td>{when(new Date(c.to), timeZone, now)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</footer>

<style>
  footer {
    position: sticky;
    inset-block-end: 0;
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr);
    background: var(--paper);
    border-block-start: 1px solid var(--line-strong);
    z-index: 3;
  }

  footer.folded {
    grid-template-columns: auto minmax(0, 1fr);
  }

  .next {
    display: flex;
    align-items: baseline;
    gap: 12px;
    align-self: center;
    min-inline-size: 0;
    padding-inline: 12px 20px;
    color: var(--ink);
    font-size: 14px;
    text-decoration: none;
  }

  .next:hover > span {
    text-decoration: underline;
  }

  .next > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .fold {
    display: flex;
    align-items: center;
    gap: 12px;
    min-block-size: 36px;
    padding: 0 20px;
    border: 0;
    background: none;
    color: var(--ink-soft);
    font-size: 14px;
    text-align: start;
    cursor: pointer;
  }

  footer:not(.folded) .fold {
    flex-direction: column;
    align-items: start;
    justify-content: center;
    gap: 2px;
    padding-inline-end: 0;
  }

  .fold b {
    font-weight: 500;
    font-size: 13px;
  }

  .fold svg {
    inline-size: 14px;
  }

  .fold path {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 2;
  }

  .line {
    position: relative;
    padding-block: 4px 6px;
    overflow: hidden;
  }

  svg {
    display: block;
  }

  .tick {
    stroke: var(--line);
    stroke-width: 1;
  }

  .midnight {
    stroke: var(--line-strong);
    stroke-width: 2;
  }

  text {
    font: 500 13px var(--figures);
    fill: var(--ink-soft);
    text-anchor: middle;
    font-variant-numeric: tabular-nums;
  }

  .bar {
    text-anchor: start;
    fill: var(--ink);
    font: 500 13px var(--text);
  }

  .night {
    fill: color-mix(in srgb, var(--ink) 13%, var(--paper));
    stroke: none;
  }

  .day {
    fill: var(--paper);
    stroke: none;
  }

  .sun {
    fill: none;
    stroke: color-mix(in srgb, var(--hold) 45%, var(--paper));
    stroke-width: 2;
  }

  .horizon {
    stroke: var(--line-strong);
  }

  .clock {
    fill: var(--hold-wash);
    stroke: var(--hold);
  }

  .clock[data-mark='WET'],
  .clock[data-mark='CURING'] {
    fill: var(--wet-wash);
    stroke: var(--wet);
  }

  .clock[data-mark='WINDOW_OPEN'] {
    fill: var(--chalk-wash);
    stroke: var(--chalk);
  }

  .planned {
    stroke-dasharray: 4 3;
    fill-opacity: 0.5;
  }

  .now {
    stroke: var(--stop);
    stroke-width: 2;
  }

  .flag {
    fill: var(--stop);
    stroke: none;
  }

  .flagged {
    fill: #ffffff;
    font-weight: 600;
  }

  .none {
    position: absolute;
    inset-block-start: 30px;
    inset-inline-start: calc(16% + 40px);
    padding-inline: 8px;
    background: var(--paper);
    color: var(--ink-soft);
  }
</style>
