<script lang="ts">
  import type { Stratum } from '../api/types';
  import { isReal } from './draw';
  import Below from './Below.svelte';

  interface Props {
    strata: readonly Stratum[];
    /** Whose stones they are. */
    name: string;
  }

  let { strata, name }: Props = $props();

  const WIDTH = 74;
  const SLAB = 30;
  const HIGH = 26;
  /** A core lying on its side, as small as tells what is on the floor: the slab, then each layer that is there or is to come. */
  const layers = $derived(strata.slice(1));
  const each = $derived(Math.min(11, (WIDTH - SLAB - 2) / Math.max(1, layers.length)));
</script>

<svg viewBox="0 0 {WIDTH} {HIGH}" aria-hidden="true">
  <rect class="slab" width={SLAB} height={HIGH} rx="3" />
  <Below made={strata[0]?.made} {name} width={SLAB} top={0} bottom={HIGH} lying />
  {#each layers as stratum, i (stratum.id)}
    <rect
      x={SLAB + 1 + i * each}
      width={each - 1}
      height={HIGH}
      data-kind={stratum.kind}
      data-mark={stratum.mark}
      class:ghost={!isReal(stratum)}
    />
  {/each}
</svg>

<style>
  svg {
    display: block;
    inline-size: 100%;
    block-size: 100%;
  }

  rect {
    fill: var(--clear);
    stroke: rgb(0 0 0 / 40%);
    stroke-width: 0.8;
  }

  .slab {
    fill: var(--concrete);
  }

  [data-kind='PREP'] {
    fill: var(--concrete-light);
  }

  [data-kind='PRIMER'] {
    fill: var(--primer);
  }

  [data-kind='STAIN'],
  [data-kind='ANTIQUE'] {
    fill: var(--stain);
  }

  [data-kind='BASE'],
  [data-kind='OVERLAY'] {
    fill: var(--base);
  }

  [data-kind='BODY'] {
    fill: var(--body);
  }

  [data-kind='BROADCAST'] {
    fill: var(--flake);
  }

  [data-mark='WET']:not(.ghost) {
    stroke: var(--wet);
    stroke-width: 2;
  }

  .ghost {
    fill: none;
    stroke: var(--line);
  }
</style>
