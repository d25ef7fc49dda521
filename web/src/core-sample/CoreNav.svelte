<script lang="ts">
  import { jobHref } from '../app/route.svelte';
  import type { Stratum } from '../api/types';
  import Mark from '../parts/Mark.svelte';
  import CoreDrawing from './CoreDrawing.svelte';
  import { coreOf, rowOf, slices } from './draw';

  interface Props {
    jobId: string;
    zoneId: string;
    name: string;
    strata: readonly Stratum[];
    chosen: string;
  }

  let { jobId, zoneId, name, strata, chosen }: Props = $props();

  const WIDTH = 78;
  const LIP = WIDTH * 0.13;

  const HEIGHT = $derived(coreOf(strata.length));
  const ROW = $derived(rowOf(strata.length));
  const cut = $derived(slices(strata, HEIGHT));
  const rowsTop = $derived(Math.max(0, (HEIGHT - ROW * strata.length) / 2));
  const centre = (i: number) => rowsTop + (strata.length - 1 - i) * ROW + ROW / 2;
</script>

<nav aria-label="Core sample: the layers of this zone">
  <div class="core"><CoreDrawing {strata} {name} width={WIDTH} height={HEIGHT} {chosen} /></div>
  <svg
    class="leaders"
    width="40"
    height={HEIGHT + 2 * LIP}
    viewBox="0 {-LIP} 40 {HEIGHT + 2 * LIP}"
    aria-hidden="true"
  >
    {#each cut as slice, i (slice.stratum.id)}
      {@const from =
        i === 0 ? Math.max(slice.top + 30, centre(0)) : slice.top + slice.height / 2 + LIP * 0.5}
      <path d="M0 {from}H10L28 {centre(i)}H40" class:chosen={slice.stratum.id === chosen} />
    {/each}
  </svg>
  <ol style:padding-block-start="{rowsTop + LIP}px">
    {#each [...strata].reverse() as stratum (stratum.id)}
      <li>
        <a
          href={jobHref(jobId, zoneId, stratum.id)}
          aria-current={stratum.id === chosen ? 'page' : undefined}
          style:min-block-size="{ROW}px"
        >
          <span class="title">{stratum.title}</span>
          <span class="detail">{stratum.detail}</span>
          <Mark mark={stratum.mark} word={stratum.word} />
        </a>
      </li>
    {/each}
  </ol>
</nav>

<style>
  nav {
    display: grid;
    grid-template-columns: auto 40px 1fr;
    padding: 20px 0 20px 20px;
  }

  .core {
    inline-size: 82px;
  }

  .leaders path {
    fill: none;
    stroke: var(--line-strong);
    stroke-width: 1;
  }

  .leaders .chosen {
    stroke: var(--chalk);
    stroke-width: 2.5;
  }

  a {
    display: grid;
    align-content: center;
    padding: 0 8px;
    border-inline-start: 4px solid transparent;
    color: inherit;
    text-decoration: none;
    line-height: 1.25;
    font-size: 13px;
  }

  a:hover {
    background: var(--chalk-wash);
  }

  a[aria-current] {
    border-color: var(--chalk);
    background: var(--paper);
  }

  .title {
    font-size: 15px;
    font-weight: 600;
    line-height: 1.15;
  }

  a[aria-current] .title {
    color: var(--chalk);
  }

  .detail {
    color: var(--ink-soft);
    line-height: 1.15;
  }
</style>
