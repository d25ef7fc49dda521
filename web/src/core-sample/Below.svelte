<script lang="ts">
  import type { Stratum } from '../api/types';
  import Stones from './Stones.svelte';
  import { grain } from './draw';

  interface Props {
    made: Stratum['made'];
    /** Whose stones these are. */
    name: string;
    width: number;
    top: number;
    bottom: number;
    /** What is walked on is at the right: the core lies on its side. */
    lying?: boolean;
  }

  let { made, name, width, top, bottom, lying = false }: Props = $props();

  /** A floor that lies on a slab, as thick as can be seen. */
  const covers = $derived(made === 'TILE' ? 30 : made === 'RESILIENT' ? 13 : 0);
  const plate = $derived(
    lying
      ? { x: width - covers * 0.6, y: top, width: covers * 0.6, height: bottom - top }
      : { x: 0, y: top - 14, width, height: covers + 14 },
  );
  const solid = $derived(made === 'TIMBER' || made === 'METAL' || made === 'COMPOSITE');
  const lines = $derived(solid ? grain(name, width, top - 14, bottom, made === 'TIMBER') : '');
</script>

{#if solid}
  <rect class="solid" data-made={made} x="0" y={top - 14} {width} height={bottom - top + 14} />
  <path class="grain" d={lines} />
{:else}
  <Stones {name} {width} {top} {bottom} />
  {#if covers > 0}
    <rect class="bed" {...plate} transform="translate({lying ? -5 : 0} {lying ? 0 : 6})" />
    <rect class="plate" data-made={made} {...plate} />
    {#if made === 'TILE'}
      <path
        class="grout"
        d={lying
          ? `M${plate.x} ${top + (bottom - top) * 0.62}h${plate.width}`
          : `M${width * 0.62} ${top}v${covers}`}
      />
    {/if}
  {/if}
{/if}

<style>
  .solid[data-made='TIMBER'] {
    fill: var(--timber);
  }

  .solid[data-made='METAL'] {
    fill: var(--metal);
  }

  .solid[data-made='COMPOSITE'] {
    fill: var(--composite);
  }

  .grain {
    fill: none;
    stroke: rgb(0 0 0 / 22%);
    stroke-width: 1;
  }

  .bed {
    fill: var(--concrete-light);
  }

  .plate[data-made='TILE'] {
    fill: var(--tile);
  }

  .plate[data-made='RESILIENT'] {
    fill: var(--resilient);
  }

  .grout {
    fill: none;
    stroke: var(--concrete-light);
    stroke-width: 4;
  }
</style>
