<script lang="ts">
  import type { Stratum } from '../api/types';
  import Below from './Below.svelte';
  import { chips, seedOf, slices } from './draw';

  interface Props {
    strata: readonly Stratum[];
    /** Whose stones these are. */
    name: string;
    width: number;
    height: number;
    chosen?: string;
  }

  let { strata, name, width, height, chosen = '' }: Props = $props();
  const id = $props.id();

  const lip = $derived(width * 0.13);
  const cut = $derived(slices(strata, height));
  const slab = $derived(cut[0]);
  const topReal = $derived(cut.filter((s) => s.real).at(-1));

  /** A drum from `top` down by `h`: straight sides, curved bottom. */
  const drum = (top: number, h: number) =>
    `M0 ${top}A${width / 2} ${lip} 0 0 0 ${width} ${top}V${top + h}A${width / 2} ${lip} 0 0 1 0 ${top + h}Z`;
</script>

<svg
  viewBox="-2 {-lip - 2} {width + 4} {height + 2 * lip + 4}"
  width={width + 4}
  height={height + 2 * lip + 4}
  aria-hidden="true"
>
  <defs>
    <linearGradient id="{id}-round">
      <stop offset="0" stop-color="#000" stop-opacity="0.42" />
      <stop offset="0.18" stop-color="#000" stop-opacity="0.08" />
      <stop offset="0.38" stop-color="#fff" stop-opacity="0.22" />
      <stop offset="0.7" stop-color="#000" stop-opacity="0.06" />
      <stop offset="1" stop-color="#000" stop-opacity="0.46" />
    </linearGradient>
    <linearGradient id="{id}-soak" x2="0" y2="1">
      <stop offset="0" stop-color="var(--stain)" />
      <stop offset="1" stop-color="var(--stain)" stop-opacity="0" />
    </linearGradient>
    <clipPath id="{id}-slab"><path d={drum(slab?.top ?? 0, slab?.height ?? 0)} /></clipPath>
  </defs>

  {#each cut as slice (slice.stratum.id)}
    {#if slice.real}
      <path
        class="solid"
        data-kind={slice.stratum.kind}
        data-mark={slice.stratum.mark}
        d={drum(slice.top, slice.height)}
      />
      {#if slice.stratum.kind === 'SLAB'}
        <g clip-path="url(#{id}-slab)">
          <Below made={slice.stratum.made} {name} {width} top={slice.top} bottom={height + lip} />
        </g>
      {:else if slice.stratum.kind === 'BROADCAST'}
        {#each chips(seedOf(name), width, slice.top + lip * 0.9, slice.height - 2, 3) as d, i (i)}
          <path class="chip-{i}" {d} />
        {/each}
      {:else if slice.stratum.kind === 'STAIN'}
        <!-- it has no body: it fades into what it soaked into -->
        <path class="soaked" fill="url(#{id}-soak)" d={drum(slice.top, slice.height + 26)} />
      {:else if slice.stratum.kind === 'PREP'}
        <path
          class="tooth"
          d="M0 {slice.top + slice.height}q{width / 4} {lip * 1.3} {width / 2} {lip}t{width /
            2} {-lip}"
        />
      {/if}
      <path class="round" fill="url(#{id}-round)" d={drum(slice.top, slice.height)} />
      <path class="edge" d={drum(slice.top, slice.height)} />
    {/if}
  {/each}

  {#if topReal}
    <ellipse
      class="lid"
      data-kind={topReal.stratum.kind}
      data-mark={topReal.stratum.mark}
      data-made={topReal.stratum.kind === 'SLAB' ? topReal.stratum.made : undefined}
      cx={width / 2}
      cy={topReal.top}
      rx={width / 2}
      ry={lip}
    />
  {/if}

  {#each cut as slice (slice.stratum.id)}
    {#if !slice.real}
      <path
        class="ghost"
        d="M0 {slice.top + slice.height}V{slice.top}M{width} {slice.top}v{slice.height}"
      />
      <ellipse class="ghost" cx={width / 2} cy={slice.top} rx={width / 2} ry={lip} />
    {/if}
    {#if slice.stratum.id === chosen}
      <path class="chosen" d={drum(slice.top, slice.height)} />
    {/if}
  {/each}
</svg>

<style>
  svg {
    display: block;
    overflow: visible;
  }

  .solid[data-kind='SLAB'] {
    fill: var(--concrete);
  }

  .solid[data-kind='PREP'],
  .lid[data-kind='PREP'] {
    fill: var(--concrete-light);
  }

  .tooth {
    fill: none;
    stroke: var(--concrete-dark);
    stroke-width: 3;
    stroke-dasharray: 1.5 2.5;
  }

  .solid[data-kind='PRIMER'],
  .lid[data-kind='PRIMER'] {
    fill: var(--primer);
  }

  .solid[data-kind='BODY'],
  .lid[data-kind='BODY'] {
    fill: var(--body);
  }

  .solid[data-kind='BROADCAST'],
  .lid[data-kind='BROADCAST'] {
    fill: var(--flake);
  }

  .solid[data-kind='STAIN'],
  .lid[data-kind='STAIN'],
  .solid[data-kind='ANTIQUE'],
  .lid[data-kind='ANTIQUE'] {
    fill: var(--stain);
  }

  .solid[data-kind='BASE'],
  .lid[data-kind='BASE'],
  .solid[data-kind='OVERLAY'],
  .lid[data-kind='OVERLAY'] {
    fill: var(--base);
  }

  .solid[data-kind='SEALER'],
  .lid[data-kind='SEALER'],
  .solid[data-kind='FINISH'],
  .lid[data-kind='FINISH'],
  .solid[data-kind='CLEAR'],
  .lid[data-kind='CLEAR'],
  .solid[data-kind='SERVICE'],
  .lid[data-kind='SERVICE'] {
    fill: var(--clear);
  }

  .lid[data-kind='SLAB'] {
    fill: var(--concrete-light);
  }

  .lid[data-made='TILE'] {
    fill: var(--tile);
  }

  .lid[data-made='RESILIENT'] {
    fill: var(--resilient);
  }

  .lid[data-made='TIMBER'] {
    fill: var(--timber);
  }

  .lid[data-made='METAL'] {
    fill: var(--metal);
  }

  .lid[data-made='COMPOSITE'] {
    fill: var(--composite);
  }

  .chip-0 {
    fill: #f2efe8;
  }

  .chip-1 {
    fill: #1e2628;
  }

  .chip-2 {
    fill: #b0774a;
  }

  .lid {
    stroke: rgb(0 0 0 / 45%);
    stroke-width: 1;
  }

  .lid[data-mark='WET'] {
    fill: var(--wet);
  }

  .lid[data-mark='WINDOW_OPEN'] {
    fill: var(--chalk);
  }

  .lid[data-mark='OVERDUE'] {
    fill: var(--stop);
  }

  .edge {
    fill: none;
    stroke: rgb(0 0 0 / 40%);
    stroke-width: 1;
  }

  .ghost {
    fill: none;
    stroke: var(--line-strong);
    stroke-width: 1.3;
    stroke-dasharray: 4 3.5;
  }

  .chosen {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 3;
  }
</style>
