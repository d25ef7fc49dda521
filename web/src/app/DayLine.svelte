<script lang="ts">
  import type { LeadZone, RunningClock } from '../api/types';
  import Mark from '../parts/Mark.svelte';
  import { clock, left as leftOf, weekday, when } from '../parts/time';
  import { bars, spanAround, ticks, xOf } from './dayline';

  interface Props {
    clocks: readonly RunningClock[];
    next: LeadZone['next'];
    timeZone: string;
    now: Date;
    narrow: boolean;
  }

  let { clocks, next, timeZone, now, narrow }: Props = $props();

  const ROWS = 3;
  const ROW = 25;
  const TOP = 26;

  let width = $state(1180);
  const span = $derived(spanAround(now, width));
  const placed = $derived(bars(clocks, span, width, ROWS));
  const hours = $derived(ticks(span, width, (at) => Number(clock(at, timeZone).slice(0, 2))));
  const nowX = $derived(xOf(now.getTime(), span, width));
  const nextAt = $derived(next.at ? new Date(next.at) : null);
</script>

<footer aria-label="Day line">
  {#if narrow}
    <div class="next">
      <b>{nextAt ? leftOf(nextAt, now) : 'now'}</b>
      <Mark mark={next.mark} word={next.word} />
      <span>{next.label}</span>
    </div>
  {:else}
    <p class="head">Clocks</p>
    <div class="line" bind:clientWidth={width}>
      <svg {width} height={TOP + ROWS * ROW + 6} aria-hidden="true">
        {#each hours as hour (hour)}
          {@const x = xOf(hour, span, width)}
          {@const label = clock(new Date(hour), timeZone)}
          <path class="tick" class:midnight={label === '00:00'} d="M{x} 18V{TOP + ROWS * ROW}" />
          {#if Math.abs(x - nowX) > 48 && x > 20 && x < width - 22}
            <text {x} y="13">{label === '00:00' ? weekday(new Date(hour), timeZone) : label}</text>
          {/if}
        {/each}
        {#each placed as bar (bar.clock.label + bar.clock.from)}
          <g transform="translate({bar.left} {TOP + bar.row * ROW})">
            <rect
              data-mark={bar.clock.mark}
              class:planned={bar.clock.planned}
              width={bar.right - bar.left}
              height={ROW - 5}
            />
            <text class="bar" x="7" y="15">{bar.clock.label}</text>
          </g>
        {/each}
        <path class="now" d="M{nowX} 0V{TOP + ROWS * ROW}" />
        <rect class="flag" x={nowX - 24} y="0" width="48" height="18" />
        <text class="flagged" x={nowX} y="13">{clock(now, timeZone)}</text>
      </svg>
      {#if placed.length === 0}<p class="none">No clock is running in these hours.</p>{/if}
    </div>
  {/if}
  <div class="unseen">
    <table>
      <caption>Clocks of this zone</caption>
      <tbody>
        {#each clocks as c (c.label + c.from)}
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

  .head {
    padding: 30px 0 0 20px;
    font-size: 13px;
    color: var(--ink-soft);
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

  rect {
    fill: var(--hold-wash);
    stroke: var(--hold);
  }

  rect[data-mark='WET'],
  rect[data-mark='CURING'] {
    fill: var(--wet-wash);
    stroke: var(--wet);
  }

  rect[data-mark='WINDOW_OPEN'] {
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
    inset-block-start: 46px;
    inset-inline-start: calc(16% + 40px);
    padding-inline: 8px;
    background: var(--paper);
    color: var(--ink-soft);
  }

  .next {
    grid-column: 1 / -1;
    display: grid;
    grid-template-columns: auto auto 1fr;
    gap: 10px;
    align-items: center;
    padding: 10px 12px;
  }

  .next b {
    font: 600 26px/1 var(--figures);
    white-space: nowrap;
  }

  .next span {
    font-size: 14px;
    line-height: 1.2;
  }

  @media (max-width: 759px) {
    footer {
      position: fixed;
      inset-inline: 0;
      border-block-start: 3px solid var(--ink);
    }
  }
</style>
