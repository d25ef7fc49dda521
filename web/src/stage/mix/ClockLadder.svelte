<script lang="ts" module>
  /** Minutes as a crew says them. */
  function hours(minutes: number): string {
    if (minutes < 100) {
      return `${Math.round(minutes)} min`;
    }
    return minutes < 72 * 60
      ? `${(minutes / 60).toFixed(1)} h`
      : `${(minutes / 1440).toFixed(1)} d`;
  }
</script>

<script lang="ts">
  import type { LayerReport, TimedClock } from '../../api/types';
  import { appClock } from '../../app/clock.svelte';
  import FigureButton from '../../parts/FigureButton.svelte';
  import { left, when } from '../../parts/time';

  interface Props {
    clocks: readonly TimedClock[];
    timeZone: string;
    started: LayerReport['started'];
  }

  let { clocks, timeZone, started }: Props = $props();
  const ladder = $derived(clocks.filter((c) => c.clock !== 'POT_LIFE'));
</script>

<section>
  <h2>Clocks{started === 'COATED' ? '' : ', as planned'}</h2>
  <table>
    <tbody>
      {#each ladder as timed (timed.clock)}
        {@const at = timed.at ? new Date(timed.at) : null}
        <tr class:past={at && at <= appClock.now}>
          <th scope="row">{timed.label}</th>
          <td class="time">
            {#if timed.time.minutes}<FigureButton
                figure={timed.time.minutes}
                text={hours(timed.time.minutes.value)}
              />{/if}
          </td>
          <td>
            {#if at}<b>{when(at, timeZone, appClock.now)}</b>
              <small>{at > appClock.now ? `in ${left(at, appClock.now)}` : 'over'}</small>
            {:else}<small>{timed.time.whyNot || 'no start yet'}</small>{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>

<style>
  section {
    margin-block-start: 20px;
  }

  h2 {
    font-size: 20px;
    margin-block-end: 4px;
  }

  th,
  td {
    padding-block: 7px;
    border-block-start: 1px solid var(--line);
    font-size: 15px;
    vertical-align: baseline;
  }

  .time {
    padding-inline: 10px;
    white-space: nowrap;
  }

  small {
    color: var(--ink-soft);
  }

  .past th,
  .past b {
    color: var(--ink-soft);
    font-weight: 400;
  }
</style>
