<script lang="ts">
  import type { ZoneReport } from '../../api/types';

  interface Props {
    report: ZoneReport;
    /** As typed, by side. */
    sides: Record<string, string>;
    width: number;
  }

  let { report, sides, width }: Props = $props();

  const M = 34;
  const outline = $derived(report.outline.corners);
  const minX = $derived(Math.min(...outline.map((c) => c.x)));
  const minY = $derived(Math.min(...outline.map((c) => c.y)));
  /** Moved to where it begins, since a plan may begin anywhere. */
  const corners = $derived(outline.map((c) => ({ x: c.x - minX, y: c.y - minY })));
  const maxX = $derived(Math.max(...corners.map((c) => c.x)));
  const maxY = $derived(Math.max(...corners.map((c) => c.y)));
  const k = $derived(Math.min((width - 2 * M) / maxX, 230 / maxY));
  const px = (x: number) => M + x * k;
  const py = (y: number) => M - 8 + (maxY - y) * k;
  const height = $derived(maxY * k + 2 * M - 6);
  const path = $derived(
    `${corners.map((c, i) => `${i === 0 ? 'M' : 'L'}${px(c.x)} ${py(c.y)}`).join('')}Z`,
  );
</script>

<svg
  {width}
  {height}
  viewBox="0 0 {width} {height}"
  role="img"
  aria-label="Plan of {report.name}, {report.area.text}"
>
  <path class="floor" d={path} />
  <text x={px(maxX / 2)} y={py(0) + 20}>{sides['length'] ?? ''}</text>
  <text transform="translate({px(0) - 10} {py(maxY / 2)}) rotate(-90)">{sides['width'] ?? ''}</text>
  {#if sides['cutLength']}
    <text
      x={px(maxX) - (px(maxX) - px(corners[3]?.x ?? maxX)) / 2}
      y={py(corners[2]?.y ?? maxY) - 7}>{sides['cutLength']}</text
    >
    <text
      transform="translate({px(corners[3]?.x ?? maxX) - 8} {(py(maxY) + py(corners[2]?.y ?? 0)) /
        2}) rotate(-90)">{sides['cutWidth']}</text
    >
  {/if}
  <text
    class="area"
    x={px((sides['cutLength'] ? (corners[3]?.x ?? maxX) : maxX) / 2)}
    y={py(maxY / 2) + 8}>{report.area.text}</text
  >
</svg>

<style>
  svg {
    display: block;
    max-inline-size: 100%;
  }

  .floor {
    fill: var(--paper);
    stroke: var(--ink);
    stroke-width: 3;
    stroke-linejoin: miter;
  }

  text {
    font: 600 15px var(--figures);
    fill: var(--chalk);
    text-anchor: middle;
  }

  .area {
    font-size: 26px;
    fill: var(--ink);
  }
</style>
