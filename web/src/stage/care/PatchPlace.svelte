<script lang="ts">
  import type { Corner } from '../../api/types';
  import { sketch } from '../floor/sketch';

  interface Props {
    outline: readonly Corner[];
    /** Corners of the patch. */
    ring: readonly Corner[];
    label: string;
  }

  let { outline, ring, label }: Props = $props();

  const WIDTH = 120;
  const HIGH = 84;
  const drawn = $derived(sketch(outline, WIDTH, HIGH, 3));
</script>

<svg
  width={WIDTH}
  height={drawn.height}
  viewBox="0 0 {WIDTH} {drawn.height}"
  role="img"
  aria-label={label}
>
  <path class="floor" d={drawn.path(outline)} />
  <path class="patch" d={drawn.path(ring)} />
</svg>

<style>
  svg {
    display: block;
    margin-block: 6px;
  }

  .floor {
    fill: var(--paper);
    stroke: var(--ink-soft);
    stroke-width: 1.5;
  }

  .patch {
    fill: var(--ink);
    stroke: var(--ink);
    stroke-width: 2;
  }
</style>
