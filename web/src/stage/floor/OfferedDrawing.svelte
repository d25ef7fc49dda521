<script lang="ts">
  import type { DrawingOffer } from '../../api/types';

  interface Props {
    offer: DrawingOffer;
    /** What each layer is to be. */
    roles: Record<string, string>;
  }

  let { offer, roles }: Props = $props();

  const WIDE = 590;
  const HIGH = 200;
  const M = 8;

  const low = $derived(
    offer.lines
      .flatMap((l) => l.points)
      .reduce((a, p) => ({ x: Math.min(a.x, p.x), y: Math.min(a.y, p.y) }), {
        x: Infinity,
        y: Infinity,
      }),
  );
  const k = $derived(
    Math.min(
      (WIDE - 2 * M) / Math.max(offer.width, 1e-6),
      (HIGH - 2 * M) / Math.max(offer.height, 1e-6),
    ),
  );
  /** In the middle, whichever way it is longer. */
  const left = $derived((WIDE - offer.width * k) / 2);
  const foot = $derived((HIGH + offer.height * k) / 2);
  const path = (line: DrawingOffer['lines'][number]) =>
    line.points
      .map(
        (p, i) =>
          `${i === 0 ? 'M' : 'L'}${(left + (p.x - low.x) * k).toFixed(1)} ${(foot - (p.y - low.y) * k).toFixed(1)}`,
      )
      .join('') + (line.closed ? 'Z' : '');
</script>

<svg
  viewBox="0 0 {WIDE} {HIGH}"
  role="img"
  aria-label="The drawing: {offer.layers.length} layers; what is left out is pale"
>
  {#each offer.lines as line, i (i)}
    <path data-role={roles[line.layer]} d={path(line)} />
  {/each}
</svg>

<style>
  svg {
    inline-size: 100%;
    background: var(--ground);
    border: 1px solid var(--line);
  }

  path {
    fill: none;
    stroke: var(--chalk);
    stroke-width: 1.5;
  }

  [data-role='ROOM'],
  [data-role='ZONE'] {
    stroke: var(--ink);
    stroke-width: 2.5;
  }

  [data-role='CRACK'],
  [data-role='MOVING_CRACK'] {
    stroke: var(--stop);
  }

  [data-role='LEAVE'] {
    stroke: var(--line-strong);
    stroke-width: 1;
    stroke-dasharray: 3 3;
  }
</style>
